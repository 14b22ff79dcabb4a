import type { MessageChoice, MessageLinkDto, MessagesDto, PushDeviceInput } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const messagesQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'messages'] as const,
    queryFn: () => api<MessagesDto>('GET', apiOf(gardenId, 'messages')),
  });

export const chooseMessages = defineWrite('messages.choose', ({ gardenId, ...body }: OfGarden & MessageChoice) =>
  api<MessagesDto>('PUT', apiOf(gardenId, 'messages'), body),
);

export const addDevice = (body: PushDeviceInput): Promise<unknown> => api('POST', '/devices', body);

const linkPath = (what: 'link' | 'off' | 'done', token: string): string =>
  `/messages/${what}/${encodeURIComponent(token)}`;

/** What a link in a message is about. */
export const messageLinkQuery = (token: string) =>
  queryOptions({
    queryKey: ['message-link', token] as const,
    queryFn: () => api<MessageLinkDto>('GET', linkPath('link', token)),
  });

/** Does what a link in a message is for. */
export const openLink = (what: 'off' | 'done', token: string): Promise<unknown> => api('POST', linkPath(what, token));

import type { MessageLinkDto, PushDeviceInput } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';

// Apart from the writes, which are part of the first load.

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

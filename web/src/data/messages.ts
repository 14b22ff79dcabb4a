import type { MessageChoice, MessagesDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';

export const messagesQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'messages'] as const,
    queryFn: () => api<MessagesDto>('GET', apiOf(gardenId, 'messages')),
  });

/** Saves a person's choice. It needs a connection, so it is no write that waits. */
export const chooseMessages = (gardenId: string, choice: MessageChoice): Promise<MessagesDto> =>
  api<MessagesDto>('PUT', apiOf(gardenId, 'messages'), choice);

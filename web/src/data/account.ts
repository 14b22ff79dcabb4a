import type { Entry } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';

/** What a signed-out visitor may do here. */
export const entryQuery = () => queryOptions({ queryKey: ['entry'], queryFn: () => api<Entry>('GET', '/entry') });

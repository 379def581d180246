'use client';

import { NewEntrySchema, type NewEntry } from '../../../core/book/entry';
import { useSendingQueue, type Sending } from '../../../ui/use-sending-queue';

/** What was written in the book on this tablet and the server has not confirmed. */
const ENTRIES: Sending<NewEntry> = { kept: 'soft-peak:book:waiting', url: '/api/book', schema: NewEntrySchema };

/** Entries on their way to the book. */
export const useBookQueue = () => useSendingQueue(ENTRIES);

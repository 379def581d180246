'use client';

import { z } from 'zod';
import { NewEntrySchema, type NewEntry } from '../../../core/book/entry';
import { useSendingQueue, type Sending } from '../../../ui/use-sending-queue';

/** What was written in the book on this tablet and the server has not confirmed. */
const ENTRIES: Sending<NewEntry> = {
  kept: 'soft-peak:book:waiting',
  url: '/api/book',
  read: (text) => {
    try {
      const read = z.array(NewEntrySchema).safeParse(JSON.parse(text || '[]'));
      return read.success ? read.data : [];
    } catch {
      return [];
    }
  },
};

/** Entries on their way to the book. */
export const useBookQueue = () => useSendingQueue(ENTRIES);

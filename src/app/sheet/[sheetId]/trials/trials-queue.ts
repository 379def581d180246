'use client';

import { z } from 'zod';
import { NewTrialEventSchema, type NewTrialEvent, type TrialSays } from '../../../../core/trials/series';
import { freshUuid } from '../../../../ui/sheet/fresh-id';
import { useSendingQueue, type Sending } from '../../../../ui/use-sending-queue';

const WaitingSchema = z.object({ id: z.string(), sheetId: z.string(), event: NewTrialEventSchema });
interface Waiting {
  readonly id: string;
  readonly sheetId: string;
  readonly event: NewTrialEvent;
}

/** What was said of trials on this tablet and the server has not confirmed. */
const EVENTS: Sending<Waiting> = { kept: 'soft-peak:trials:waiting', url: '/api/trials', schema: WaitingSchema };

/** What is said of a sheet's trials, on its way to the server. */
export function useTrialsQueue(sheetId: string): {
  readonly waiting: number;
  readonly refused: string | null;
  readonly say: (seriesId: string, says: TrialSays) => void;
} {
  const { waiting, refused, write } = useSendingQueue(EVENTS);
  return {
    waiting: waiting.filter((w) => w.sheetId === sheetId).length,
    refused,
    say: (seriesId, says) => {
      const id = freshUuid();
      write({ id, sheetId, event: { id, seriesId, says } });
    },
  };
}

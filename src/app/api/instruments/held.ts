import { freshStandIns, type StandIns } from '../../../instruments/stand-ins';

/** The stand-ins live as long as the server does, whichever route asks first. */
const shared = globalThis as typeof globalThis & { softPeakStandIns?: StandIns };

export const heldStandIns = (now: number): StandIns => (shared.softPeakStandIns ??= freshStandIns(now));
export const holdStandIns = (next: StandIns): void => void (shared.softPeakStandIns = next);

import { InstrumentsDesk } from './instruments-desk';

/** Instruments: what is a stand-in, what each senses, and what a real device would have to say. */
export default function InstrumentsPage() {
  return <InstrumentsDesk real={process.env.SOFT_PEAK_INSTRUMENTS ?? null} />;
}

export const dynamic = 'force-dynamic';

import { z } from 'zod';

/**
 * What an instrument says: one JSON object on a line. The stand-ins speak it; a real device would do the same
 * (docs/formats/instruments.md).
 */
export const InstrumentLineSchema = z.object({
  instrument: z.enum(['scale', 'probe', 'load']),
  /** Its own serial: two devices may bear one name, never one serial. */
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  /** What the value is in. A scale may be switched to ounces; it says so. */
  unit: z.enum(['g', 'oz', '°C', '%']),
  value: z.number(),
  /** A scale's own word for a settled weight. */
  stable: z.boolean().optional(),
  /** Milliseconds since 1970, by the device's clock. */
  at: z.number(),
});
export type InstrumentLine = Readonly<z.infer<typeof InstrumentLineSchema>>;

export const GRAMS_PER_OZ = 28.349523125;

/** Reads one line of a stream. @returns null for anything that is none: blank, broken, or of another form. */
export function readInstrumentLine(text: string): InstrumentLine | null {
  if (text.trim() === '' || text.length > 2000) return null;
  try {
    const read = InstrumentLineSchema.safeParse(JSON.parse(text));
    return read.success && Number.isFinite(read.data.value) && Number.isFinite(read.data.at) ? read.data : null;
  } catch {
    return null;
  }
}

/** A weight in grams, whatever the scale shows it in. */
export const gramsOf = (line: InstrumentLine): number => (line.unit === 'oz' ? line.value * GRAMS_PER_OZ : line.value);

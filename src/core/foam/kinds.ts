/** What the whisk and the sugar can be: declared once. */

export const SUGAR_MOMENTS = ['start', 'soft-peak'] as const;
export type SugarMoment = (typeof SUGAR_MOMENTS)[number];
export const MIXER_KINDS = ['planetary', 'hand-mixer', 'balloon-whisk', 'processor'] as const;
export type MixerKind = (typeof MIXER_KINDS)[number];
export const SPEEDS = ['fast', 'medium', 'slow'] as const;
export type Speed = (typeof SPEEDS)[number];
export const STAGES = ['soft', 'medium', 'firm', 'grainy', 'butter'] as const;
export type Stage = (typeof STAGES)[number];
/** Stages that a cook whisks to; the other two are accidents. */
export const WISHED_STAGES = ['soft', 'medium', 'firm'] as const;
export type WishedStage = (typeof WISHED_STAGES)[number];

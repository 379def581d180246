/** The papers that labels are printed on, by name; their measures stand in `tub-label-pdf`. */
export const LABEL_SIZES = {
  'a4-21': 'A4, 21 of 63.5 × 38.1 mm',
  'a4-14': 'A4, 14 of 99.1 × 38.1 mm',
  'letter-10': 'Letter, 10 of 4 × 2 in',
  'roll-62': 'roll, 62 mm wide',
} as const;
export type LabelGridKey = keyof typeof LABEL_SIZES;
export const isLabelGrid = (key: string): key is LabelGridKey => Object.hasOwn(LABEL_SIZES, key);

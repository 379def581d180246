import type { Cook, Oven } from './crew-schema';

/** Every day of the week. */
export const DAILY = [1, 2, 3, 4, 5, 6, 7];

/** Who and what a kitchen is taken to have until it says otherwise: one cook by day, one oven. */
export const USUAL_CREW: Cook[] = [{ id: 'cook-1', name: 'Cook', hours: [{ days: DAILY, from: '08:00', to: '18:00' }] }];
export const USUAL_OVENS: Oven[] = [{ id: 'oven', name: 'Oven', shelves: 2 }];

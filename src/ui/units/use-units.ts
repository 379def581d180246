'use client';

import { useEffect } from 'react';
import { unitsKey, type ShownUnits } from '../../core/measures/shown';
import { unitsHere } from '../../core/measures/shown-here';

const isOther = (key: string): boolean => key !== unitsKey(unitsHere());

/** Draws the page anew where the kitchen is shown in other units by now: what is typed is kept on the tablet. */
export function takeUnits(header: string | null): void {
  if (header !== null && isOther(header)) location.reload();
}

/** The same for the page that changes them, once they are saved. */
export function useUnitsSaved(units: ShownUnits, saved: boolean): void {
  useEffect(() => {
    if (saved && isOther(unitsKey(units))) location.reload();
  }, [units, saved]);
}

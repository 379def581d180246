import { showMoney } from '../../core/figure';
import { unitsHere } from '../../core/measures/shown-here';

/** An amount in this kitchen's currency. */
export const money = (amount: number): string => showMoney(amount, unitsHere().currency);

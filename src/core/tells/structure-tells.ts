import { showGrams } from '../figure';
import { ROLE_NAMES } from '../larder/role';
import type { SheetAnalysis } from '../analysis/analysed';
import { usedUpParts } from '../lines/read-sheet';
import type { Tell, TellAction, TellKey } from './tell';

const look = (key: TellKey, state: Tell['state'], says: string): Tell => ({ key, state, sentence: [says], track: null, action: null });

const list = (names: readonly string[]): string => (names.length <= 2 ? names.join(' and ') : `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`);

/** What does not hang together: lines not understood, lines and parts that no step uses, steps that ask for what is not there. */
export function structureTells(s: SheetAnalysis): readonly Tell[] {
  return [...unreadTell(s), ...unusedLines(s), ...missing(s), ...unusedParts(s), ...leftovers(s), ...unreadText(s)];
}

function unreadTell(s: SheetAnalysis): Tell[] {
  const unread = s.parts.flatMap((a) => a.reading.lines.filter((l) => l.fault));
  if (unread.length === 0) return [];
  const left = unread.filter((l) => !l.read).length;
  const kept = unread.length - left;
  const words = [
    left > 0 ? `${left === 1 ? 'One line is' : `${left} lines are`} not understood yet and left out of the figures` : '',
    kept > 0 ? `${kept === 1 ? 'one line counts' : `${kept} lines count`} as last read` : '',
  ]
    .filter(Boolean)
    .join('; ');
  return [look('unread', 'out', `${words.charAt(0).toUpperCase()}${words.slice(1)}.`)];
}

function unusedLines(s: SheetAnalysis): Tell[] {
  if (s.sheet.steps.length === 0) return [];
  const steps = new Set(s.sheet.steps.map((x) => x.id));
  const idle = s.parts.flatMap((a) => a.reading.lines.filter((l) => l.kind !== 'loss' && l.read && (l.line.stepId === null || !steps.has(l.line.stepId))));
  if (idle.length === 0) return [];
  return [
    look(
      'idle-lines',
      'near',
      `No step uses ${list(idle.map((l) => l.name))}: give ${idle.length === 1 ? 'it' : 'them'} a step, or take ${idle.length === 1 ? 'it' : 'them'} out.`,
    ),
  ];
}

function missing(s: SheetAnalysis): Tell[] {
  const tells: Tell[] = [];
  s.sheet.steps.forEach((step, i) => {
    const part = s.parts.find((a) => a.part.id === step.partId);
    if (!part || part.reading.lines.length === 0) return;
    const roles = new Set(part.reading.lines.map((l) => l.role));
    const lacks = step.wants.filter((r) => !roles.has(r));
    if (lacks.length > 0)
      tells.push(look(`lacks:${step.id}`, 'near', `Step ${i + 1} asks for ${list(lacks.map((r) => ROLE_NAMES[r]))}: there is none in ${part.part.name}.`));
  });
  return tells;
}

function unusedParts(s: SheetAnalysis): Tell[] {
  if (s.parts.length < 2 || s.sheet.steps.length === 0) return [];
  const placed = new Set(s.sheet.steps.flatMap((x) => x.parts));
  const usedUp = usedUpParts(s.sheet);
  const idle = s.sheet.parts.filter((p) => p.kind !== 'soak' && p.lines.length > 0 && !placed.has(p.id) && !usedUp.has(p.id));
  if (idle.length === 0) return [];
  const action: TellAction = {
    label: 'Put it in at the end',
    why: 'with the last step that builds the dessert',
    edit: { kind: 'place-part', partIds: idle.map((p) => p.id) },
  };
  return [
    {
      ...look(
        'idle-parts',
        'near',
        `${list(idle.map((p) => p.name))} ${idle.length === 1 ? 'goes' : 'go'} nowhere: no step puts ${idle.length === 1 ? 'it' : 'them'} into the dessert.`,
      ),
      action,
    },
  ];
}

/** A part that is only there to be taken from, and of which something stays. */
function leftovers(s: SheetAnalysis): Tell[] {
  const placed = new Set(s.sheet.steps.flatMap((x) => x.parts));
  const over = s.parts.filter((a) => a.leftShare < 0.999 && a.leftShare > 0.02 && !placed.has(a.part.id));
  return over.map((a) => look(`left:${a.part.id}`, 'near', `${showGrams(a.leftG)} of ${a.part.name} is left over and goes nowhere.`));
}

function unreadText(s: SheetAnalysis): Tell[] {
  const n = s.sheet.unread.length;
  return n === 0
    ? []
    : [
        look(
          'unread-text',
          'near',
          `${n === 1 ? 'One piece' : `${n} pieces`} of the pasted recipe ${n === 1 ? 'is' : 'are'} not settled yet: see below the method.`,
        ),
      ];
}

import { showGrams } from '../figure';
import type { SheetAnalysis } from '../analysis/analysed';
import { shownSteps } from '../batch/method';
import { vesselSize } from '../vessel/profile';
import { fileName, type WrittenFile } from './written';

const plain = (text: string): string => text.replace(/[\u00a0\u202f]/g, ' ').replaceAll('\u2060', '');
const escaped = (text: string): string => plain(text).replace(/([*_`|<>#])/g, '\\$1');

/** A sheet as Markdown: a table of lines for each part, then the method. */
export function writeMarkdown(s: SheetAnalysis): WrittenFile {
  const { sheet } = s;
  const parts = s.parts.map((a) => {
    const rows = a.reading.lines.map((l) => `| ${l.read ? escaped(showGrams(l.read.massG)) : '–'} | ${escaped(l.cooksMeasure)} | ${escaped(l.line.text)} |`);
    return `## ${escaped(a.part.name)}\n\n| weight | measure | as written |\n| ---: | --- | --- |\n${rows.join('\n')}\n`;
  });
  const steps = shownSteps(s).map(
    (x, i) => `${i + 1}. **${escaped(x.title)}**${x.takes ? ` (${escaped(x.takes)})` : ''}${x.detail ? ` ${escaped(x.detail)}` : ''}`,
  );
  const text = [
    `# ${escaped(sheet.name)}\n`,
    `${sheet.portions} portions, ${escaped(`${sheet.vessel.name}, ${vesselSize(sheet.vessel)}`)}\n`,
    ...parts,
    ...(steps.length > 0 ? ['## Method\n', `${steps.join('\n')}\n`] : []),
    ...(sheet.notes ? ['## Notes\n', `${escaped(sheet.notes)}\n`] : []),
    ...(sheet.unread.length > 0 ? ['## Not settled\n', `${sheet.unread.map((t) => `- ${escaped(t)}`).join('\n')}\n`] : []),
  ].join('\n');
  return { name: fileName(sheet.name, 'md'), mime: 'text/markdown', text, cannot: ['which step uses a line', 'ways and whisk settings', 'being read back in'] };
}

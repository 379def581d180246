import { clockOf, dayDate, dayName } from '../../../core/timetable/clock-words';
import { daySheets, whenSays } from '../../../core/timetable/day-sheet';
import { showSpan } from '../../../core/timetable/says';
import type { PlannedTask, ServiceAnswer } from '../../../core/timetable/service-plan';
import type { Service } from '../../../core/timetable/service-schema';
import { minuteOf } from '../../../core/timetable/zone';
import { inShownUnits } from '../../../core/measures/shown';
import { unitsHere } from '../../../core/measures/shown-here';
import type { Result } from '../../../core/result';
import { escaped, markOf, ownPage } from '../../own-page';

const STYLE = `body{padding:20px clamp(16px,4vw,40px) 48px}
main{max-width:1120px;margin:0 auto}
.kitchen{display:flex;align-items:center;gap:10px;margin:0;font-weight:600}
h1{margin:18px 0 0;font-size:30px}
.served{margin:6px 0 0;font-size:17px}
.cooks{display:grid;grid-template-columns:repeat(auto-fit,minmax(min(100%,340px),1fr));gap:4px 40px;padding-bottom:20px}
h2{margin:22px 0 6px;font-size:19px}
ul{margin:0;padding:0;list-style:none}
li{display:grid;grid-template-columns:72px minmax(0,1fr) auto;gap:12px;align-items:baseline;padding:7px 0;border-top:1px solid oklch(0.87 0.012 225)}
b,.takes{font-variant-numeric:tabular-nums;font-weight:650}
.of{display:block;font-size:14.5px;color:oklch(0.44 0.03 250)}
.behind{color:oklch(0.44 0.03 250)}
.behind b{font-weight:500}
.now{border-left:4px solid oklch(0.8 0.155 82);padding-left:8px;margin-left:-12px}
footer{margin-top:28px;font-size:14px;color:oklch(0.44 0.03 250)}`;

/** How often it is asked for anew, s. */
const REFRESH_S = 60;

const row = (t: PlannedTask, day: string, zone: string): string =>
  `<li class="${t.done ? 'behind' : t.running ? 'now' : ''}"><b>${escaped(whenSays(t, day, zone))}</b><span>${escaped(t.name)}<span class="of">${escaped(t.dish)}${t.done ? ', behind' : t.running ? ', in hand' : ''}</span></span><span class="takes">${t.end > t.start ? escaped(showSpan(t.end - t.start)) : ''}</span></li>`;

const rows = (title: string, tasks: readonly PlannedTask[], day: string, zone: string): string =>
  tasks.length === 0 ? '' : `<section><h2>${escaped(title)}</h2><ul>${tasks.map((t) => row(t, day, zone)).join('')}</ul></section>`;

/**
 * The day sheet of a service to look at, by days: whole in itself, without a script or a way further into the kitchen.
 * @param now minutes since 1970.
 */
export function seenPage(kitchenName: string, service: Service, answer: Result<ServiceAnswer>, now: number): string {
  const { zone, name } = service;
  const plan = answer.ok && answer.value.ok ? answer.value.plan : null;
  const why = answer.ok ? (answer.value.ok ? '' : answer.value.says) : answer.fault.says;
  const days = plan
    ? daySheets(service, plan)
        .map((d) => {
          const noon = minuteOf(`${d.day}T12:00`, zone);
          const served = d.servings.map((t) => `<b>${clockOf(t.start, zone)}</b> ${escaped(t.dish)}`).join(' · ');
          return `<section><h1>${escaped(dayName(noon, zone))}, ${escaped(dayDate(noon, zone).slice(4))}</h1>${served ? `<p class="served">Served: ${served}</p>` : ''}<div class="cooks">${d.cooks.map((c) => rows(c.name, c.tasks, d.day, zone)).join('')}${rows('By itself', d.byItself, d.day, zone)}</div></section>`;
        })
        .join('')
    : `<h1>${escaped(name)}</h1><p class="served">There is no plan just now. ${escaped(why)}</p>`;
  const title = escaped(`${name}, day sheet`);
  return ownPage({
    title,
    more: STYLE,
    refreshS: REFRESH_S,
    body: `<main><p class="kitchen">${markOf(24)}${escaped([kitchenName, name].filter(Boolean).join(': '))}</p>${inShownUnits(days, unitsHere())}<footer>As planned at ${clockOf(now, zone)}; it comes anew each minute. To look at only.</footer></main>`,
  });
}

/** Where a link no longer shows anything. */
export const overPage = (): string =>
  ownPage({
    title: 'Soft Peak',
    more: STYLE,
    body: `<main><p class="kitchen">${markOf(24)}Soft Peak</p><h1>This link is over</h1><p class="served">It was taken back, its week has passed, or its service is no longer there. Ask the kitchen for a new one.</p></main>`,
  });

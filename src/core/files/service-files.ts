import ical, { ICalAlarmType, ICalEventTransparency } from 'ical-generator';
import Papa from 'papaparse';
import { inSentence } from '../figure';
import type { PlannedTask, ServicePlan } from '../timetable/service-plan';
import type { Service } from '../timetable/service-schema';
import { localTime } from '../timetable/zone';
import { fileName, type WrittenFile } from './written';

const MINUTE_MS = 60_000;
const ALARM_BEFORE_S = 300;

/** What the hands do, and what is served: that is what a calendar is for. */
const forCalendar = (plan: ServicePlan): readonly PlannedTask[] => plan.tasks.filter((t) => t.kind === 'served' || t.cook !== '');

/** Whether a task follows another of the same cook without a pause: then nothing need ring. */
const followsOn = (plan: ServicePlan, t: PlannedTask): boolean =>
  plan.tasks.some((o) => o !== t && o.cook === t.cook && o.cook !== '' && o.end === t.start && o.end > o.start);

/**
 * A service as iCalendar (RFC 5545): every task of the hands and every serving, in real moments, with an alarm five minutes before what begins
 * after a pause.
 *
 * @param now milliseconds since 1970, the moment of writing.
 */
export function writeCalendar(service: Service, plan: ServicePlan, serviceId: string, now: number): WrittenFile {
  const calendar = ical({ name: service.name, prodId: { company: 'Soft Peak', product: 'Clock', language: 'EN' } });
  for (const t of forCalendar(plan)) {
    const event = calendar.createEvent({
      id: `${serviceId}/${t.id}@soft-peak`,
      stamp: new Date(now),
      start: new Date(t.start * MINUTE_MS),
      end: new Date(Math.max(t.end, t.start + 1) * MINUTE_MS),
      summary: t.kind === 'served' ? `${t.dish} is served` : `${t.dish}: ${inSentence(t.name)}`.replaceAll('\u00a0', ' '),
      description:
        [t.cook && `Cook: ${t.cook}`, t.part && `Part: ${t.part}`, t.needs.length > 0 && `Needs ${t.needs.join(', ')}`]
          .filter(Boolean)
          .join('\n')
          .replaceAll('\u00a0', ' ') || null,
      transparency: t.kind === 'served' ? ICalEventTransparency.TRANSPARENT : ICalEventTransparency.OPAQUE,
    });
    if (t.kind === 'served' || !followsOn(plan, t))
      event.createAlarm({ type: ICalAlarmType.display, triggerBefore: ALARM_BEFORE_S, description: event.summary() });
  }
  return {
    name: fileName(service.name, 'ics'),
    mime: 'text/calendar',
    text: calendar.toString(),
    cannot: ['what goes on by itself', 'gaps and pins', 'amounts'],
  };
}

export const PLAN_COLUMNS = ['start', 'end', 'minutes', 'dessert', 'part', 'task', 'who', 'with', 'kind', 'soonest', 'latest', 'critical'] as const;

/** A plan as a table, in the order of the clock. */
export function writePlanCsv(service: Service, plan: ServicePlan): WrittenFile {
  const { zone } = service;
  const rows = plan.tasks.map((t) =>
    [
      localTime(t.start, zone),
      localTime(t.end, zone),
      String(t.end - t.start),
      t.dish,
      t.part,
      t.name,
      t.cook,
      t.needs.join(', '),
      t.kind,
      localTime(t.soonest, zone),
      localTime(t.latest, zone),
      t.critical ? 'yes' : '',
    ].map((x) => x.replaceAll('\u00a0', ' ')),
  );
  return {
    name: fileName(service.name, 'plan.csv'),
    mime: 'text/csv',
    text: `${Papa.unparse({ fields: [...PLAN_COLUMNS], data: rows }, { newline: '\n', escapeFormulae: true })}\n`,
    cannot: ['gaps between tasks', 'hours of the crew'],
  };
}

/** The service itself, to be read again. */
export const writeService = (service: Service): WrittenFile => ({
  name: fileName(service.name, 'service.json'),
  mime: 'application/json',
  text: `${JSON.stringify(service, null, 2)}\n`,
  cannot: ['the sheets themselves'],
});

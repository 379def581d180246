import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { fail, ok } from '../../../core/result';
import { plannedService } from '../../../data/service-plans';
import { getService } from '../../../data/services';
import { openSampleKitchen } from '../../../testing/sample-file';
import { overPage, seenPage } from './page-of-sheet';

const NOW = Date.UTC(2026, 10, 25, 9);
const db = openSampleKitchen(join(mkdtempSync(join(tmpdir(), 'soft-peak-seen-')), 'kitchen.db'), NOW);
const stored = getService(db, 'harbour-dinner')!;
const service = stored.doc;
const plan = plannedService(db, stored, NOW);

describe('a day sheet to look at', () => {
  it('has every task of the plan with its time, by cook and day, and the servings', () => {
    if (!plan.ok || !plan.value.ok) throw new Error('no plan');
    const { tasks } = plan.value.plan;
    const page = seenPage('Gannet Quay', service, plan, NOW / 60_000);
    expect(page.split('<li').length - 1).toBe(tasks.filter((t) => t.kind !== 'served').length);
    for (const cook of new Set(tasks.map((t) => t.cook).filter(Boolean))) expect(page).toContain(`<h2>${cook}</h2>`);
    expect(page).toContain('<b>20:15</b> Pear and black-tea icebox cake');
    expect(page).toContain('Gannet Quay');
    expect(page).toContain('By itself');
  });
  it('asks for nothing, runs nothing and leads nowhere', () => {
    for (const page of [seenPage('Gannet Quay', service, plan, NOW / 60_000), overPage()]) expect(page).not.toMatch(/<script|<a |<form|href=|src=|_next/);
    expect(seenPage('', service, plan, NOW / 60_000)).toContain('http-equiv="refresh" content="60"');
  });
  it('shows names as text, whatever they are', () => {
    const hostile = '<img onerror=x>"&\'';
    const page = seenPage(hostile, { ...service, name: hostile }, ok({ ok: false, says: hostile, mends: [] } as never), NOW / 60_000);
    expect(page).not.toContain('<img');
    expect(page).toContain('&#60;img onerror=x&#62;&#34;&#38;&#39;');
    expect(seenPage('', service, fail('service', 'gone', 'It is not there.'), NOW / 60_000)).toContain('There is no plan just now. It is not there.');
  });
});

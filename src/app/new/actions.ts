'use server';

import { redirect } from 'next/navigation';
import { kitchenOf } from '../../core/kitchen/kitchen';
import { newLine } from '../../core/editing/edits';
import { SKELETONS, sheetOfSkeleton } from '../../core/editing/skeletons';
import { startingSheet } from '../../core/editing/starting';
import { matcherFor } from '../../core/measures/match';
import { openedKitchen } from '../../data/kitchen';
import { readKitchenFacts } from '../../data/kitchen-facts';
import { createSheet } from '../../data/sheets';

/** What was wrong with the form; null before it is sent. */
export type CreateAnswer = { readonly field: 'name'; readonly says: string } | null;

/** Makes a sheet from the form and opens it on Bench: of a family's parts where one is chosen, else of one cream. A cream that cannot be read goes along as typed. */
export async function createFromForm(_before: CreateAnswer, form: FormData): Promise<CreateAnswer> {
  const name = String(form.get('name') ?? '')
    .trim()
    .slice(0, 120);
  const cream = String(form.get('cream') ?? '')
    .trim()
    .slice(0, 500);
  if (name === '') return { field: 'name', says: 'Give it a name, so that it can be found again.' };
  const db = openedKitchen();
  const facts = readKitchenFacts(db);
  const context = { larder: kitchenOf(facts).larder, matcher: matcherFor(facts.larder), measures: { cups: facts.rules.cups, eggs: facts.rules.eggs } };
  const mixerId = facts.mixers[0]?.id ?? 'planetary';
  const skeleton = SKELETONS.find((s) => s.id === form.get('start'));
  const doc = skeleton
    ? sheetOfSkeleton(skeleton, name, mixerId, context, facts.rules.ways, () => crypto.randomUUID())
    : startingSheet(name, mixerId, cream === '' ? [] : [newLine('line-1', cream, context)], context.larder, facts.rules.ways);
  const id = crypto.randomUUID();
  createSheet(db, id, doc, Date.now());
  redirect(`/sheet/${id}/bench`);
}

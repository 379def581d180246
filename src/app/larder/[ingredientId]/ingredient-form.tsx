'use client';

import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { useController, useForm, useWatch, type FieldPath, type UseFormReturn } from 'react-hook-form';
import { Select } from '../../../ui/kit/select';
import { COMPONENTS, type Component } from '../../../core/composition/components';
import { FLAGS, FOAM_ROLES, IngredientSchema, type Ingredient } from '../../../core/composition/ingredient';
import { plainNumber } from '../../../core/figure';
import { unitsHere } from '../../../core/measures/shown-here';
import { compositionFromLabel, LABEL_KIND_NAMES, LABEL_KINDS, type LabelKind } from '../../../core/larder/label';

const CATEGORIES = [
  'cream',
  'dairy',
  'fat',
  'egg',
  'sugar',
  'setting',
  'starch',
  'chocolate',
  'fruit',
  'drink',
  'liquid',
  'biscuit',
  'nut',
  'flavour',
] as const;
const LABEL_FIELDS = ['fatG', 'carbohydrateG', 'sugarsG', 'fibreG', 'proteinG', 'saltG', 'abvPct'] as const;
const LABEL_WORDS: Readonly<Record<(typeof LABEL_FIELDS)[number], string>> = {
  fatG: 'fat, g',
  carbohydrateG: 'carbohydrate, g',
  sugarsG: 'of which sugars, g',
  fibreG: 'fibre, g',
  proteinG: 'protein, g',
  saltG: 'salt, g',
  abvPct: 'alcohol, % vol',
};

/** The form holds text: what is typed stays as it was typed until it can be read. */
interface Values {
  name: string;
  aliases: string;
  category: string;
  foamRole: string;
  composition: Record<Component, string>;
  densityGPerMl: string;
  gramsPerUsCup: string;
  pieceGrams: string;
  pieceName: string;
  bloom: string;
  packG: string;
  ediblePct: string;
  pricePerKg: string;
  allergens: string;
  flags: string[];
  note: string;
  labelKind: LabelKind;
  label: Record<(typeof LABEL_FIELDS)[number], string>;
}

const words = (n: number | null): string => (n === null ? '' : String(n));

const valuesOf = (i: Ingredient): Values => ({
  name: i.name,
  aliases: i.aliases.join(', '),
  category: i.category,
  foamRole: i.foamRole,
  composition: Object.fromEntries(COMPONENTS.map((c) => [c, i.composition[c] === 0 ? '' : String(i.composition[c])])) as Record<Component, string>,
  densityGPerMl: words(i.densityGPerMl),
  gramsPerUsCup: words(i.gramsPerUsCup),
  pieceGrams: words(i.piece?.grams ?? null),
  pieceName: i.piece?.name ?? '',
  bloom: words(i.bloom),
  packG: words(i.packG),
  ediblePct: words(i.ediblePct),
  pricePerKg: words(i.pricePerKg),
  allergens: i.allergens.join(', '),
  flags: [...i.flags],
  note: i.note,
  labelKind: 'dairy',
  label: Object.fromEntries(LABEL_FIELDS.map((f) => [f, ''])) as Values['label'],
});

const list = (text: string): string[] =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean);
const number = (text: string): number => Number(text.trim().replace(',', '.'));
const orNull = (text: string): number | null => (text.trim() === '' ? null : number(text));
const slug = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60) || 'ingredient';

/** The form as an ingredient that the schema then judges. */
function ingredientOf(v: Values, before: Ingredient, inferred: readonly Component[]): unknown {
  return {
    ...before,
    id: before.id || slug(v.name),
    name: v.name.trim(),
    aliases: list(v.aliases),
    category: v.category,
    foamRole: v.foamRole,
    composition: Object.fromEntries(COMPONENTS.map((c) => [c, v.composition[c].trim() === '' ? 0 : number(v.composition[c])])),
    densityGPerMl: orNull(v.densityGPerMl),
    gramsPerUsCup: orNull(v.gramsPerUsCup),
    piece: v.pieceGrams.trim() === '' ? null : { grams: number(v.pieceGrams), name: v.pieceName.trim() || 'piece' },
    bloom: orNull(v.bloom),
    packG: orNull(v.packG),
    ediblePct: number(v.ediblePct || '100'),
    pricePerKg: orNull(v.pricePerKg),
    allergens: list(v.allergens),
    flags: v.flags,
    note: v.note,
    inferred,
  };
}

const FIELD_OF: Readonly<Record<string, FieldPath<Values>>> = { piece: 'pieceGrams', ediblePct: 'ediblePct' };

type Form = UseFormReturn<Values>;

/** Everything the kitchen knows of an ingredient; the composition may come off its carton. */
export function IngredientForm({
  ingredient,
  revision,
  removable,
}: {
  readonly ingredient: Ingredient;
  readonly revision: number;
  readonly removable: boolean;
}) {
  const router = useRouter();
  const form = useForm<Values>({ defaultValues: valuesOf(ingredient) });
  const [inferred, setInferred] = useState<readonly Component[]>(ingredient.inferred);
  const [says, setSays] = useState<{ text: string; wrong: boolean } | null>(null);
  const { register, handleSubmit, setError, formState } = form;

  const save = handleSubmit(async (values) => {
    const parsed = IngredientSchema.safeParse(ingredientOf(values, ingredient, inferred));
    if (!parsed.success) {
      for (const issue of parsed.error.issues) {
        const [head, second] = issue.path.map(String);
        const path = (head === 'composition' && second ? `composition.${second}` : (FIELD_OF[head ?? ''] ?? head)) as FieldPath<Values>;
        setError(path, {
          message: head === 'composition' && !second ? 'The components of 100 g must add up to 100 g.' : 'This cannot be read: check the number.',
        });
      }
      setSays({ text: 'Not saved: look at the marked fields.', wrong: true });
      return;
    }
    try {
      const response = await fetch(`/api/larder/${parsed.data.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ingredient: parsed.data, baseRevision: revision }),
      });
      const body = (await response.json()) as { says?: string };
      if (!response.ok) throw new Error(body.says ?? 'The server could not save it.');
      setSays({ text: 'Saved in the larder. Sheets that use it follow.', wrong: false });
      if (revision === 0) router.push(`/larder/${parsed.data.id}`);
      router.refresh();
    } catch (error) {
      setSays({
        text: error instanceof TypeError ? 'The server does not answer: what you typed is still here. Try again.' : (error as Error).message,
        wrong: true,
      });
    }
  });

  const remove = async () => {
    const response = await fetch(`/api/larder/${ingredient.id}`, { method: 'DELETE' });
    if (response.ok) router.push('/larder');
    else setSays({ text: ((await response.json()) as { says?: string }).says ?? 'It could not be taken out.', wrong: true });
  };

  const fault = (path: FieldPath<Values>): string | undefined => form.getFieldState(path, formState).error?.message;
  return (
    <form onSubmit={(e) => void save(e)} className="px-4 pt-4 pb-10 md:px-6" aria-label="Ingredient" noValidate>
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <Field label="Name" fault={fault('name')}>
          <input {...register('name', { required: 'Give it a name.' })} className="field w-full" />
        </Field>
        <Field label="Other names that cooks write, with commas">
          <input {...register('aliases')} className="field w-full" />
        </Field>
        <Field label="Kind">
          <PickField form={form} name="category" options={CATEGORIES.map((c) => [c, c] as const)} />
        </Field>
        <Field label="In the whisk bowl it counts as">
          <PickField form={form} name="foamRole" options={FOAM_ROLES.map((r) => [r, r === 'none' ? 'nothing of these' : r.replace('-', ' ')] as const)} />
        </Field>
      </div>
      <FromLabel form={form} onInferred={setInferred} />
      <Composition form={form} inferred={inferred} fault={fault('composition')} />
      <h2 className="mt-6 border-t border-steel pt-3 text-[17px]">Measures, packs, price</h2>
      <div className="mt-1 grid grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-4">
        <Field label="g per mL" fault={fault('densityGPerMl')}>
          <input inputMode="decimal" {...register('densityGPerMl')} className="field fig w-full" />
        </Field>
        <Field label="g in a US cup" fault={fault('gramsPerUsCup')}>
          <input inputMode="decimal" {...register('gramsPerUsCup')} className="field fig w-full" />
        </Field>
        <Field label="One piece, g" fault={fault('pieceGrams')}>
          <input inputMode="decimal" {...register('pieceGrams')} className="field fig w-full" />
        </Field>
        <Field label="is called">
          <input {...register('pieceName')} className="field w-full" />
        </Field>
        <Field label="A pack, g" fault={fault('packG')}>
          <input inputMode="decimal" {...register('packG')} className="field fig w-full" />
        </Field>
        <Field label={['Price per kg', unitsHere().currency].filter(Boolean).join(', ')} fault={fault('pricePerKg')}>
          <input inputMode="decimal" {...register('pricePerKg')} className="field fig w-full" />
        </Field>
        <Field label="Edible, %" fault={fault('ediblePct')}>
          <input inputMode="decimal" {...register('ediblePct')} className="field fig w-full" />
        </Field>
        <Field label="Gelatin strength, bloom" fault={fault('bloom')}>
          <input inputMode="decimal" {...register('bloom')} className="field fig w-full" />
        </Field>
      </div>
      <h2 className="mt-6 border-t border-steel pt-3 text-[17px]">To declare</h2>
      <div className="mt-1 grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <Field label="Allergens, with commas">
          <input {...register('allergens')} className="field w-full" />
        </Field>
        <Field label="Note">
          <input {...register('note')} className="field w-full" />
        </Field>
        <fieldset className="sm:col-span-2">
          <legend className="text-[13.5px] text-ink-soft">It is or holds</legend>
          <div className="flex flex-wrap gap-x-5">
            {FLAGS.map((f) => (
              <label key={f} className="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11">
                <input type="checkbox" value={f} {...register('flags')} className="size-4.5 accent-ink" />
                {f.replaceAll('-', ' ')}
              </label>
            ))}
          </div>
        </fieldset>
      </div>
      <div className="mt-5 flex flex-wrap items-center gap-3 border-t border-steel pt-4">
        <button type="submit" className="btn btn-act" disabled={formState.isSubmitting}>
          Keep it
        </button>
        {removable && (
          <button type="button" className="btn" onClick={() => void remove()}>
            Take it out of the larder
          </button>
        )}
        <p role="status" className={says?.wrong ? 'text-beet' : 'text-ink-soft'}>
          {says?.text}
        </p>
      </div>
    </form>
  );
}

function Field({ label, fault, children }: { readonly label: string; readonly fault?: string | undefined; readonly children: ReactNode }) {
  return (
    <label className="block">
      <span className="block text-[13.5px] text-ink-soft">{label}</span>
      {children}
      {fault && (
        <span role="alert" className="block text-[13.5px] text-beet">
          {fault}
        </span>
      )}
    </label>
  );
}

/** One of several, as a field of the form. */
function PickField<V extends string>({
  form,
  name,
  options,
}: {
  readonly form: Form;
  readonly name: FieldPath<Values>;
  readonly options: readonly (readonly [V, string])[];
}) {
  const { field } = useController({ control: form.control, name });
  return <Select value={String(field.value) as V} options={options} onChange={field.onChange} className="field w-full" />;
}

/** The nutrition table of a carton, turned into a composition; what it does not say is worked out and marked. */
function FromLabel({ form, onInferred }: { readonly form: Form; readonly onInferred: (inferred: readonly Component[]) => void }) {
  const [fault, setFault] = useState<string | null>(null);
  const { register, getValues, setValue } = form;
  const take = () => {
    const { label, labelKind } = getValues();
    const numbers = Object.fromEntries(LABEL_FIELDS.map((f) => [f, label[f].trim() === '' ? 0 : number(label[f])])) as Record<
      (typeof LABEL_FIELDS)[number],
      number
    >;
    const read = compositionFromLabel({ kind: labelKind, ...numbers });
    setFault(read.ok ? null : read.fault.says);
    if (!read.ok) return;
    for (const c of COMPONENTS)
      setValue(`composition.${c}`, read.value.composition[c] === 0 ? '' : String(Number(read.value.composition[c].toFixed(3))), { shouldDirty: true });
    onInferred(read.value.inferred);
  };
  return (
    <section aria-label="From the carton" className="mt-6 border-t border-steel pt-3">
      <h2 className="text-[17px]">From the carton’s label, per 100&nbsp;g</h2>
      <div className="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 sm:grid-cols-4">
        <Field label="What it is">
          <PickField form={form} name="labelKind" options={LABEL_KINDS.map((k) => [k, LABEL_KIND_NAMES[k]] as const)} />
        </Field>
        {LABEL_FIELDS.map((f) => (
          <Field key={f} label={LABEL_WORDS[f]}>
            <input inputMode="decimal" {...register(`label.${f}`)} className="field fig w-full" />
          </Field>
        ))}
      </div>
      <p className="mt-2 flex flex-wrap items-center gap-3">
        <button type="button" className="btn" onClick={take}>
          Work out the composition
        </button>
        <span role="alert" className="text-beet">
          {fault}
        </span>
      </p>
    </section>
  );
}

function Composition({ form, inferred, fault }: { readonly form: Form; readonly inferred: readonly Component[]; readonly fault: string | undefined }) {
  const values = useWatch({ control: form.control, name: 'composition' });
  const sum = COMPONENTS.reduce((total, c) => total + (number(values[c] || '0') || 0), 0);
  const off = Math.abs(sum - 100) > 0.6;
  return (
    <section aria-label="Composition" className="mt-6 border-t border-steel pt-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-[17px]">Composition, g in 100&nbsp;g</h2>
        <p className={off ? 'text-beet' : 'text-ink-soft'}>
          together <span className="fig">{plainNumber(sum, 1)}&nbsp;g</span>
          {off ? ': it must be 100 g' : ''}
        </p>
      </div>
      {fault && (
        <p role="alert" className="text-[13.5px] text-beet">
          {fault}
        </p>
      )}
      <div className="mt-1 grid grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-3 xl:grid-cols-4">
        {COMPONENTS.map((c) => {
          const problem = form.getFieldState(`composition.${c}`, form.formState).error?.message;
          return (
            <label key={c} className="grid grid-cols-[minmax(0,1fr)_86px] items-center gap-x-2">
              <span className="text-[14px] leading-tight">
                {c.replaceAll('_', ' ')}
                {inferred.includes(c) && <span className="block text-[13px] text-yolk-ink">worked out</span>}
                {problem && (
                  <span role="alert" className="block text-[13px] text-beet">
                    {problem}
                  </span>
                )}
              </span>
              <input inputMode="decimal" {...form.register(`composition.${c}`)} className="field fig w-full text-right" />
            </label>
          );
        })}
      </div>
    </section>
  );
}

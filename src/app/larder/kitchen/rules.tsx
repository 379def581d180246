'use client';

import { EGG_RULE_NAMES, EGG_RULES } from '../../../core/heat/lethality';
import type { KitchenRules } from '../../../core/kitchen/schema';
import { CUP_SYSTEM_KEYS, CUP_SYSTEMS, EGG_SIZES } from '../../../core/measures/units';
import { Choice } from '../../../ui/choice';
import { QuantityField } from '../../../ui/quantity-field';
import { KeepsCream, ShownUnitsFields } from '../../kitchen-fields';
import { NameInput } from './name-input';

/** How a kitchen measures and keeps. */
export function Rules({ rules, onChange }: { readonly rules: KitchenRules; readonly onChange: (next: Partial<KitchenRules>) => void }) {
  return (
    <section aria-label="Rules" className="mt-3">
      <h2 className="pb-1 text-[17px]">How this kitchen measures and keeps</h2>
      <div className="grid grid-cols-2 items-end gap-x-4 gap-y-3 border-t border-steel-light pt-2 sm:grid-cols-4">
        <NameInput name={rules.kitchenName} onChange={(kitchenName) => onChange({ kitchenName })} />
        <Choice
          label="Cups and spoons"
          value={rules.cups}
          options={CUP_SYSTEM_KEYS.map((k) => [k, `${CUP_SYSTEMS[k].name}, ${Math.round(CUP_SYSTEMS[k].cup)} mL`] as const)}
          onChange={(cups) => onChange({ cups })}
        />
        <QuantityField label="The scale shows" unit="g" value={rules.scaleStepG} min={0.01} max={50} onChange={(scaleStepG) => onChange({ scaleStepG })} />
        <Choice
          label="Eggs are"
          value={`${rules.eggs.system} ${rules.eggs.size}`}
          options={(['us', 'eu'] as const).flatMap((system) =>
            (Object.keys(EGG_SIZES[system]) as KitchenRules['eggs']['size'][]).map(
              (size) => [`${system} ${size}`, `${system === 'us' ? 'US' : 'European'} ${size}, ${EGG_SIZES[system][size]} g`] as const,
            ),
          )}
          onChange={(v) => onChange({ eggs: { system: v.slice(0, 2) as 'us' | 'eu', size: v.slice(3) as KitchenRules['eggs']['size'] } })}
        />
        <ShownUnitsFields value={rules.shown} onChange={(shown) => onChange({ shown })} />
        <QuantityField label="Fridge" unit="°C" value={rules.fridgeC} min={0} max={10} onChange={(fridgeC) => onChange({ fridgeC })} />
        <QuantityField label="Room" unit="°C" value={rules.roomC} min={5} max={40} onChange={(roomC) => onChange({ roomC })} />
        <KeepsCream value={rules.keepingH} onChange={(keepingH) => onChange({ keepingH })} />
        <Choice
          label="Egg counts as heated at"
          value={rules.eggRule}
          options={EGG_RULES.map((r) => [r, EGG_RULE_NAMES[r]] as const)}
          onChange={(eggRule) => onChange({ eggRule })}
        />
        <QuantityField
          label="A standard drink"
          unit="g"
          value={rules.standardDrinkG}
          min={5}
          max={20}
          onChange={(standardDrinkG) => onChange({ standardDrinkG })}
        />
        <QuantityField label="Water boils at" unit="°C" value={rules.waterBoilsC} min={80} max={101} onChange={(waterBoilsC) => onChange({ waterBoilsC })} />
        <Choice
          label="Cooling rule"
          value={rules.cooling ? 'own' : 'usual'}
          options={[
            ['usual', 'the usual one'],
            ['own', 'our authority’s'],
          ]}
          onChange={(v) => onChange({ cooling: v === 'own' ? { fromC: 57, firstC: 21, firstMin: 120, secondC: 5, secondMin: 360 } : null })}
        />
        {rules.cooling && (
          <div className="col-span-full grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-5">
            <QuantityField
              label="Clock from"
              unit="°C"
              value={rules.cooling.fromC}
              min={20}
              max={100}
              onChange={(fromC) => onChange({ cooling: { ...rules.cooling!, fromC } })}
            />
            <QuantityField
              label="First to"
              unit="°C"
              value={rules.cooling.firstC}
              min={0}
              max={60}
              onChange={(firstC) => onChange({ cooling: { ...rules.cooling!, firstC } })}
            />
            <QuantityField
              label="within"
              unit="min"
              value={rules.cooling.firstMin}
              min={1}
              max={1440}
              onChange={(firstMin) => onChange({ cooling: { ...rules.cooling!, firstMin } })}
            />
            <QuantityField
              label="Then to"
              unit="°C"
              value={rules.cooling.secondC}
              min={-5}
              max={30}
              onChange={(secondC) => onChange({ cooling: { ...rules.cooling!, secondC } })}
            />
            <QuantityField
              label="within, from the start"
              unit="min"
              value={rules.cooling.secondMin}
              min={1}
              max={2880}
              onChange={(secondMin) => onChange({ cooling: { ...rules.cooling!, secondMin } })}
            />
          </div>
        )}
        <label className="col-span-2 block sm:col-span-3">
          <span className="block text-[13.5px] text-ink-soft">Whose food rules it follows</span>
          <input
            value={rules.authority}
            maxLength={400}
            placeholder="the local food authority and its code"
            onChange={(e) => onChange({ authority: e.target.value })}
            className="field mt-0.5 w-full"
          />
        </label>
      </div>
    </section>
  );
}

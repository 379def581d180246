'use client';

import { useEffect, useState } from 'react';
import { showGrams } from '../../../core/figure';
import { madeOnce } from '../../../core/timetable/made-once';
import type { Merge } from '../../../core/timetable/merges';
import { showSpan } from '../../../core/timetable/says';
import { coreForService } from '../../../workers/core-service';
import { useService } from '../service-provider';

/** Parts that several desserts have alike: made once, if their wait allows it, and what that saves. */
export function MergeOffer() {
  const { kitchen, sheetOf, doc, soFar, now, change } = useService();
  const [found, setFound] = useState<{ readonly of: string; readonly merges: readonly Merge[] }>({ of: '', merges: [] });
  // Only what decides which parts are alike asks anew.
  const question = JSON.stringify([doc.servings, doc.crew, doc.together]);
  useEffect(() => {
    if (found.of === question) return;
    let wanted = true;
    const timer = setTimeout(() => {
      void (async () => {
        const core = await coreForService(kitchen, sheetOf);
        const merges = await core.merges({ service: doc, soFar, now });
        if (wanted) setFound({ of: question, merges });
      })();
    }, 900);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [kitchen, sheetOf, question, found.of, doc, soFar, now]);
  if (found.merges.length === 0) return null;
  return (
    <section aria-label="Made once" className="mt-5">
      <h2 className="text-[17px]">Made once</h2>
      <ul>
        {found.merges.map((m) => (
          <li key={m.madeOf} className="border-t border-steel py-2">
            <label className="flex gap-2">
              <input
                type="checkbox"
                checked={doc.together.includes(m.madeOf)}
                disabled={m.savesMin === null && !doc.together.includes(m.madeOf)}
                onChange={(e) => change((d) => madeOnce(d, m.madeOf, e.target.checked))}
                className="mt-1 size-4 shrink-0 accent-ink"
              />
              <span>
                <span className="font-[600]">{m.part}</span>, {showGrams(m.massG)}, for {m.dishes.join(' and ')}
                <span className="block text-[14px] text-ink-soft">
                  {m.savesMin === null
                    ? 'No plan with it: it does not hold from the first to the last.'
                    : m.savesMin > 0
                      ? `saves ${showSpan(m.savesMin)} of hands`
                      : 'saves a bowl, no time'}
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

'use client';

import { lazy } from 'react';
import { Plus } from 'lucide-react';
import { OpensPanel } from '../../../../ui/opens-panel';

const PartKinds = lazy(() => import('./part-kinds').then((m) => ({ default: m.PartKinds })));

/** Opens the kinds of part. */
export const AddPart = () => (
  <div className="mt-3">
    <OpensPanel
      className="btn text-[14px]"
      panelLabel="Add a part"
      face={
        <>
          <Plus size={15} aria-hidden="true" /> Add a part
        </>
      }
      panel={(close) => <PartKinds onDone={close} />}
    />
  </div>
);

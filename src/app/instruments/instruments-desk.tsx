'use client';

import { useSearchParams } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { plainNumber, withUnit } from '../../core/figure';
import { gramsOf } from '../../instruments/wire';
import { devicesOf, SILENT_MS, useInstruments, useStandIns } from '../../ui/instruments/use-instruments';
import { QuantityField } from '../../ui/quantity-field';
import { Frame } from '../../ui/frame';
import { LarderPages } from '../larder/larder-pages';
import { useNow } from '../../ui/use-now';

/** Every instrument as it speaks now, and a hand on the stand-ins. */
export function InstrumentsDesk({ real }: { readonly real: string | null }) {
  const sheet = useSearchParams().get('sheet');
  const feed = useInstruments(true);
  const now = useNow(true, 500);
  const { act, trouble } = useStandIns();
  const scale = devicesOf(feed, 'scale');
  const probes = devicesOf(feed, 'probe');
  const silent = (heardAt: number): boolean => now - heardAt > SILENT_MS;
  return (
    <Frame station="Larder" sheetId={sheet} heading={<h1 className="text-[20px]">Instruments</h1>}>
      <div className="border-b border-steel px-4 pt-2 md:px-6">
        <LarderPages here="instruments" />
      </div>
      <div className="px-4 py-5 md:px-8">
        <p className="max-w-[70ch] text-[16px]">
          {real === null ? (
            <>
              These three are stand-ins that ship with the program: they sense what you set here, with the noise, lag and drift of real ones. A real device
              takes their place by saying the same lines.
            </>
          ) : (
            <>
              A real device speaks from <span className="fig">{real}</span>; the stand-ins are off.
            </>
          )}
        </p>
        <p role="alert" className="mt-2 text-beet empty:hidden">
          {trouble}
        </p>
        {!feed.open && <p className="mt-3 text-ink-soft">Waiting for the line to the instruments.</p>}
        <div className="mt-5 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 lg:grid-cols-2">
          {(scale.length > 0 ? scale : [null]).map((d) => (
            <Device
              key={d?.line.id ?? 'scale'}
              name={d ? d.label : 'scale'}
              what="scale"
              value={d && !silent(d.heardAt) ? withUnit(plainNumber(d.line.value, d.line.unit === 'oz' ? 2 : 0), d.line.unit) : null}
              more={
                d && !silent(d.heardAt)
                  ? `${d.line.stable ? 'steady' : 'settling'}${d.line.unit === 'oz' ? `, ${plainNumber(gramsOf(d.line), 0)}\u00a0g` : ''}`
                  : 'silent'
              }
            >
              {real === null && <ScaleHand act={act} />}
            </Device>
          ))}
          {real === null &&
            [0, 1]
              .filter((i) => !probes.some((d) => standInIndex(d.line.id) === i))
              .map((i) => (
                <Device key={`silent-${i}`} name={`probe ${i + 1}`} what="probe" value={null} more="silent">
                  <ProbeHand index={i} act={act} />
                </Device>
              ))}
          {probes.map((d) => (
            <Device
              key={d.line.id}
              name={d.label}
              what="probe"
              value={silent(d.heardAt) ? null : withUnit(plainNumber(d.line.value, 1), '°C')}
              more={silent(d.heardAt) ? 'silent' : d.twin ? 'another probe bears this name: its serial tells them apart' : `serial ${d.line.id}`}
            >
              {real === null && <ProbeHand index={standInIndex(d.line.id)} act={act} />}
            </Device>
          ))}
          <LoadDevice act={act} real={real !== null} />
        </div>
        <section className="mt-10 max-w-[76ch]" aria-label="A real device">
          <h2 className="text-[17px]">A real device</h2>
          <p className="mt-1">
            It answers one address with a stream of server-sent events, each a JSON line as below, at least once a second while it is on; the server reads it
            when <code>SOFT_PEAK_INSTRUMENTS</code> names that address. Several devices may speak in one stream: the serial (<code>id</code>) tells them apart.
            Units: g or oz, °C, % of the mixer’s load at firm.
          </p>
          <pre
            tabIndex={0}
            role="region"
            aria-label="Three lines as an example"
            className="mt-2 overflow-x-auto border-y border-steel bg-paper px-3 py-2.5 text-[13.5px] leading-relaxed"
          >{`data: {"instrument":"scale","id":"sc-41","name":"scale","unit":"g","value":312,"stable":true,"at":1764072000000}
data: {"instrument":"probe","id":"p-2","name":"custard","unit":"°C","value":63.4,"at":1764072000250}
data: {"instrument":"load","id":"m-1","name":"whisk","unit":"%","value":41.7,"at":1764072000500}`}</pre>
        </section>
      </div>
    </Frame>
  );
}

/** Which of the two stand-in probes a serial is. */
const standInIndex = (id: string): number => Number(id.slice(-1)) - 1;

type Act = (body: unknown) => Promise<boolean>;

function Device({
  name,
  what,
  value,
  more,
  children,
}: {
  readonly name: string;
  readonly what: string;
  readonly value: string | null;
  readonly more: string;
  readonly children: ReactNode;
}) {
  return (
    <section aria-label={name} className="border-t border-steel pt-3" data-device={what}>
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-[17px]">{name}</h2>
        <p>
          <span className="fig text-[26px]">{value ?? '–'}</span>
        </p>
      </div>
      <p className={`text-right text-[14px] ${value === null ? 'text-beet' : 'text-ink-soft'}`}>{more}</p>
      <div className="mt-2">{children}</div>
    </section>
  );
}

const FORM = 'flex flex-wrap items-end gap-x-4 gap-y-3';

function ScaleHand({ act }: { readonly act: Act }) {
  const [grams, setGrams] = useState(250);
  const [drift, setDrift] = useState(0);
  return (
    <div className={FORM}>
      <div className="w-28">
        <QuantityField label="Lies on it" unit="g" value={grams} min={-5000} max={50000} onChange={setGrams} />
      </div>
      <button type="button" className="btn btn-act" onClick={() => void act({ act: 'put-on', grams })}>
        Put it on
      </button>
      <button type="button" className="btn" onClick={() => void act({ act: 'put-on', grams: 0 })}>
        Take all off
      </button>
      <button type="button" className="btn" onClick={() => void act({ act: 'tare' })}>
        Tare
      </button>
      <div className="w-32">
        <QuantityField
          label="Its zero creeps"
          unit="g/min"
          value={drift}
          min={-50}
          max={50}
          onChange={(d) => {
            setDrift(d);
            void act({ act: 'scale', driftGPerMin: d });
          }}
        />
      </div>
      <Switch label="in ounces" onChange={(on) => void act({ act: 'scale', unit: on ? 'oz' : 'g' })} />
      <Switch label="silent" onChange={(silent) => void act({ act: 'scale', silent })} />
    </div>
  );
}

function ProbeHand({ index, act }: { readonly index: number; readonly act: Act }) {
  const [tC, setTC] = useState(index === 0 ? 20 : 4);
  const [perMin, setPerMin] = useState(0);
  const [untilC, setUntilC] = useState(82);
  const [name, setName] = useState(`probe ${index + 1}`);
  return (
    <div className={FORM}>
      <div className="w-28">
        <QuantityField label="Stuck into" unit="°C" value={tC} min={-40} max={200} onChange={setTC} />
      </div>
      <div className="w-32">
        <QuantityField label="which changes" unit="°C/min" value={perMin} min={-100} max={100} onChange={setPerMin} />
      </div>
      <div className="w-28">
        <QuantityField label="until" unit="°C" value={untilC} min={-40} max={200} onChange={setUntilC} />
      </div>
      <button type="button" className="btn btn-act" onClick={() => void act({ act: 'stick', probe: index, tC, perMin, ...(perMin === 0 ? {} : { untilC }) })}>
        Stick it in
      </button>
      <label className="text-[13.5px] text-ink-soft">
        Its name
        <input
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
          onBlur={() => name.trim() !== '' && void act({ act: 'probe', probe: index, name })}
          className="field mt-0.5 block w-36"
        />
      </label>
      <Switch label="silent" onChange={(silent) => void act({ act: 'probe', probe: index, silent })} />
    </div>
  );
}

function LoadDevice({ act, real }: { readonly act: Act; readonly real: boolean }) {
  const [quicker, setQuicker] = useState(10);
  return (
    <section aria-label="whisk load" className="border-t border-steel pt-3">
      <h2 className="text-[17px]">whisk load</h2>
      <p className="mt-1 text-[14.5px] text-ink-soft">
        It speaks while a whisk runs that was switched on at Live, or on Pass with ‘listen to the motor’s load’.
      </p>
      {!real && (
        <div className={`mt-2 ${FORM}`}>
          <div className="w-44">
            <QuantityField
              label="The next cream goes quicker by"
              unit="%"
              value={quicker}
              min={-50}
              max={100}
              onChange={(q) => {
                setQuicker(q);
                void act({ act: 'pace', pace: 1 + q / 100 });
              }}
            />
          </div>
          <button type="button" className="btn" onClick={() => void act({ act: 'load', zero: 35 })}>
            Knock its zero to 35&nbsp;%
          </button>
          <Switch label="silent" onChange={(silent) => void act({ act: 'load', silent })} />
        </div>
      )}
    </section>
  );
}

function Switch({ label, onChange }: { readonly label: string; readonly onChange: (on: boolean) => void }) {
  const [on, setOn] = useState(false);
  return (
    <label className="flex min-h-9 cursor-pointer items-center gap-2">
      <input
        type="checkbox"
        checked={on}
        className="size-4.5 accent-ink"
        onChange={(e) => {
          setOn(e.target.checked);
          onChange(e.target.checked);
        }}
      />
      {label}
    </label>
  );
}

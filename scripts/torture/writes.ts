import type Database from 'better-sqlite3';

/** Something a tablet tells the kitchen: how it is sent, and how many times the data file has it. */
export interface Write {
  readonly kind: string;
  readonly method: 'POST' | 'PUT';
  readonly path: string;
  readonly body: () => unknown;
  /** Sent as a form, with a picture where one is given. */
  readonly form?: true;
  /** What another screen wrote first is taken up; true when the write is to be sent again on top of it. */
  readonly behind?: (answer: unknown) => boolean;
  /** How many times it is there; null where a later write of the same tablet took its place. */
  readonly count: (db: Database.Database) => number | null;
}

type Random = () => number;
const one = (db: Database.Database, sql: string, ...args: readonly unknown[]): number => (db.prepare(sql).get(...args) as { n: number }).n;

/** A picture of one point. */
const POINT = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';

/** So many events go to a batch; then another is begun, as kitchens do. */
const EVENTS_OF_A_BATCH = 120;

interface SharedBatch {
  readonly id: string;
  revision: number;
  events: number;
}

/** What all tablets have open together. */
export class Evening {
  batch: SharedBatch | null = null;
  things = 0;
  constructor(readonly doc: Record<string, unknown>) {}
}

/** One tablet's stream of writes over every kind there is. */
export class Writer {
  private n = 0;
  private sheet: { readonly id: string; revision: number; count: number; name: string } | null = null;
  private service: { readonly id: string; revision: number; name: string } | null = null;
  private pantry: { readonly id: string; revision: number; pricePerKg: number } | null = null;
  constructor(
    private readonly name: string,
    private readonly random: Random,
    private readonly evening: Evening,
    private readonly service0: Record<string, unknown>,
    private readonly ingredient0: Record<string, unknown>,
  ) {}

  next(): Write {
    this.n++;
    const batch = this.evening.batch;
    if (!batch || batch.events > EVENTS_OF_A_BATCH) return this.startsBatch();
    const kinds = [
      () => this.event(batch),
      () => this.event(batch),
      () => this.temperature(batch),
      () => this.observation(batch),
      () => this.sheetSave(),
      () => this.pack(),
      () => this.serviceSave(),
      () => this.ingredientSave(),
    ];
    return kinds[Math.floor(kinds.length * this.random())]!();
  }
  private readonly id = (what: string): string => `${what}-${this.name}-${String(this.n).padStart(6, '0')}`;

  private startsBatch(): Write {
    const id = this.id('batch');
    this.evening.batch = { id, revision: 1, events: 0 };
    return {
      kind: 'batch',
      method: 'POST',
      path: '/api/batches',
      body: () => ({ id, sheetId: 'bay-leaf-chantilly' }),
      count: (db) => one(db, 'select count(*) n from batches where id = ?', id),
    };
  }
  private event(batch: SharedBatch): Write {
    batch.events++;
    const [id, words, at] = [this.id('event'), this.id('seen'), Date.now()];
    const event = this.random() < 0.5 ? { kind: 'tick', line: words, on: true } : { kind: 'off-plan', entry: { at, kind: 'note', words } };
    return {
      kind: event.kind,
      method: 'POST',
      path: `/api/batches/${batch.id}/events`,
      body: () => ({ id, event, baseRevision: batch.revision }),
      behind: (answer) => {
        const { kind, current, batch: after } = answer as { kind: string; current?: { revision: number }; batch?: { revision: number } };
        batch.revision = Math.max(batch.revision, current?.revision ?? after?.revision ?? 0);
        return kind === 'behind';
      },
      count: (db) => {
        const progress = JSON.parse((db.prepare('select progress from batches where id = ?').get(batch.id) as { progress: string }).progress) as {
          ticks: string[];
          offPlan: { words: string }[];
        };
        return [...progress.ticks, ...progress.offPlan.map((o) => o.words)].filter((w) => w === words).length;
      },
    };
  }
  private temperature(batch: SharedBatch): Write {
    const [series, at] = [`cook|${this.name}`, 1_790_000_000_000 + 1000 * this.n];
    return {
      kind: 'temperature',
      method: 'POST',
      path: `/api/batches/${batch.id}/temperatures`,
      body: () => ({ samples: [{ series, at, tC: 4 + (this.n % 10) }] }),
      count: (db) => one(db, 'select count(*) n from temperatures where batch_id = ? and series = ? and at = ?', batch.id, series, at),
    };
  }
  private observation(batch: SharedBatch): Write {
    const [id, words] = [this.id('observed'), this.id('it wept')];
    const photo = this.random() < 0.4;
    return {
      kind: photo ? 'photo' : 'observation',
      method: 'POST',
      path: `/api/batches/${batch.id}/observations`,
      form: true,
      body: () => ({ id, kind: photo ? 'photo' : 'note', at: String(Date.now()), words, ...(photo ? { photo: POINT } : {}) }),
      count: (db) => one(db, 'select count(*) n from observations where words = ?', words),
    };
  }
  private sheetSave(): Write {
    if (!this.sheet) {
      const sheet = { id: this.id('sheet'), revision: 1, count: 0, name: `Sheet of ${this.name}` };
      this.sheet = sheet;
      return {
        kind: 'new sheet',
        method: 'POST',
        path: '/api/sheets',
        body: () => ({ id: sheet.id, doc: { ...this.evening.doc, name: sheet.name } }),
        count: (db) => one(db, 'select count(*) n from sheets where id = ?', sheet.id),
      };
    }
    const sheet = this.sheet;
    const [name, count] = [this.id('edited'), ++sheet.count];
    sheet.name = name;
    return {
      kind: 'sheet',
      method: 'PUT',
      path: `/api/sheets/${sheet.id}`,
      body: () => ({ doc: { ...this.evening.doc, name }, baseRevision: sheet.revision, by: { screen: this.name, count } }),
      behind: (answer) => {
        const { kind, sheet: after, current } = answer as { kind: string; sheet?: { revision: number }; current?: { revision: number } };
        sheet.revision = Math.max(sheet.revision, after?.revision ?? current?.revision ?? 0);
        return kind === 'conflict';
      },
      count: (db) =>
        sheet.name === name
          ? one(db, "select count(*) n from sheets where id = ? and json_extract(doc, '$.name') = ? and name = ?", sheet.id, name, name)
          : null,
    };
  }
  private pack(): Write {
    const [id, leftG] = [this.id('pack'), 100 + this.n];
    return {
      kind: 'pack',
      method: 'PUT',
      path: '/api/stock',
      body: () => ({ packs: [{ id, ingredientId: 'honey', sizeG: 10_000, leftG, bestBefore: null }] }),
      count: (db) => one(db, 'select count(*) n from stock_packs where id = ? and left_g = ?', id, leftG),
    };
  }
  private serviceSave(): Write {
    if (!this.service) {
      const service = { id: this.id('service'), revision: 1, name: `Service of ${this.name}` };
      this.service = service;
      return {
        kind: 'new service',
        method: 'POST',
        path: '/api/services',
        body: () => ({ id: service.id, doc: { ...this.service0, name: service.name } }),
        count: (db) => one(db, 'select count(*) n from services where id = ?', service.id),
      };
    }
    const service = this.service;
    const name = this.id('evening');
    service.name = name;
    return {
      kind: 'service',
      method: 'PUT',
      path: `/api/services/${service.id}`,
      body: () => ({ doc: { ...this.service0, name }, baseRevision: service.revision }),
      behind: (answer) => {
        const { kind, service: after, current } = answer as { kind: string; service?: { revision: number }; current?: { revision: number } };
        service.revision = Math.max(service.revision, after?.revision ?? current?.revision ?? 0);
        return kind === 'conflict';
      },
      count: (db) =>
        service.name === name ? one(db, "select count(*) n from services where id = ? and json_extract(doc, '$.name') = ?", service.id, name) : null,
    };
  }
  private ingredientSave(): Write {
    this.pantry ??= { id: this.id('own'), revision: 0, pricePerKg: 0 };
    const pantry = this.pantry;
    const pricePerKg = this.n;
    pantry.pricePerKg = pricePerKg;
    return {
      kind: 'ingredient',
      method: 'PUT',
      path: `/api/larder/${pantry.id}`,
      body: () => ({ ingredient: { ...this.ingredient0, id: pantry.id, name: pantry.id, aliases: [], own: true, pricePerKg }, baseRevision: pantry.revision }),
      behind: (answer) => {
        const { kind, stored } = answer as { kind: string; stored?: { revision: number } };
        if (stored) pantry.revision = stored.revision;
        return kind === 'refused';
      },
      count: (db) =>
        pantry.pricePerKg === pricePerKg
          ? one(db, "select count(*) n from ingredients where id = ? and json_extract(facts, '$.pricePerKg') = ?", pantry.id, pricePerKg)
          : null,
    };
  }
}

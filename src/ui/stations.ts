/** The stations that are built, in the order of the work; each has its number key and says what it is for. */
export const STATIONS = [
  { key: '1', name: 'Bench', says: 'what goes in, and what it will be like' },
  { key: '2', name: 'Tin', says: 'how it lies in its vessel, and how many it makes' },
  { key: '3', name: 'Whisk', says: 'when to stop' },
  { key: '4', name: 'Cold', says: 'how long in this tin, in this fridge' },
  { key: '5', name: 'Clock', says: 'backwards from the moment it is served' },
  { key: '6', name: 'Pass', says: 'making it, step by step' },
  { key: '7', name: 'Log', says: 'what was forecast and what came' },
  { key: '8', name: 'Mend', says: 'what do you see, and what to do about it' },
  { key: '9', name: 'Larder', says: 'ingredients, vessels, mixers, places, rules' },
] as const;
export type StationName = (typeof STATIONS)[number]['name'];

/** Where a station is for a sheet; without one it opens the sheet last touched. */
export function stationHref(name: StationName, sheetId: string | null): string {
  switch (name) {
    case 'Bench':
      return sheetId ? `/sheet/${sheetId}/bench` : '/bench';
    case 'Tin':
      return sheetId ? `/sheet/${sheetId}/tin` : '/tin';
    case 'Whisk':
      return sheetId ? `/sheet/${sheetId}/whisk` : '/whisk';
    case 'Cold':
      return sheetId ? `/sheet/${sheetId}/cold` : '/cold';
    case 'Clock':
      return sheetId ? `/clock?sheet=${sheetId}` : '/clock';
    case 'Pass':
      return sheetId ? `/pass?sheet=${sheetId}` : '/pass';
    case 'Log':
      return sheetId ? `/log?sheet=${sheetId}` : '/log';
    case 'Mend':
      return sheetId ? `/mend?sheet=${sheetId}` : '/mend';
    case 'Larder':
      return '/larder';
  }
}

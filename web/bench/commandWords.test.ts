import { describe, expect, test } from '@jest/globals';
import { COMMAND_WORDS, findCommands } from './commandWords.ts';

const commands = Object.keys(COMMAND_WORDS).map((id) => ({ id, title: id, note: '' }));
const SHOWN = 9;
const ids = (query: string) =>
  findCommands(commands, query)
    .slice(0, SHOWN)
    .map(({ id }) => id);

/** What people type, and one of the things that they may mean by it. */
const WORDS: Readonly<Record<string, string>> = {
  preferences: `settings options setup configuration units inch inches imperial metric mm feet awg gauge mm2 celsius fahrenheit
    torque pounds kilograms weight language taal dutch english decimal comma currency money euro dollar price date paper letter a4
    dark light theme instellingen voorkeuren eenheden`,
  keys: 'help keyboard shortcuts hotkeys manual hulp',
  import: 'import open load json bestand',
  schedule: 'csv spreadsheet excel template sjabloon paste tabel',
  export: 'export save download share opslaan',
  keeping:
    'backup restore recover versions history bin trash undelete storage zip archive prullenbak reservekopie',
  duplicate: 'duplicate copy clone kopie',
  return: 'return negative minus ground earth black pair retour',
  delete: 'delete remove erase verwijderen',
  card: 'card summary overview print kaart',
  traveller: 'traveller steps worksheet afdrukken',
  drawing: 'drawing svg picture image',
  'at-bench': 'make guide instructions crimp maken',
  batch: 'batch several production tray',
  kit: 'cut shopping buy order stock spool offcut material bom cost inventory shelf voorraad zaaglijst',
  labels: 'labels stickers tags markers qr etiket',
  case: 'tools dies lug lugs terminal sleeves heatshrink crimper catalogue gereedschap matrijs kabelschoen',
  'in-your-case': 'questions questionnaire workshop shop empty werkplaats',
  section: 'section saw photo void air compaction doorsnede',
  records: 'record report certificate proof pdf keuring',
  system: 'system diagram wiring installation schematic network battery bank schema',
  together: 'optimise together cheapest copper',
  hunt: 'hunt fault diagnose corrosion hot loose storing',
  log: 'log due maintenance service calendar find onderhoud',
  handover: 'handover owner survey inspector documents oplevering',
  trends: 'trends wear drift chart statistics slijtage',
  practice: 'practice method standards school abyc iso limits solder defaults norm',
  training: 'training learn quiz exercise oefenen',
  new: 'add create wire nieuw',
  undo: 'undo revert mistake ongedaan',
  redo: 'redo again opnieuw',
  start: 'home begin welcome',
  job: 'project boat klus',
  jobs: 'recent list klussen',
  demo: 'demo example sample voorbeeld',
  source: 'resistance short fuse breaker protection zekering kortsluiting',
  place: 'ambient temperature heat bundle conduit derating omgeving',
  duty: 'surge cycle inrush windlass piek',
  prove: 'insulation megger milliohm readings pull isolatie',
  fit: 'tighten bolt nut washer aandraaien',
};

describe('the box finds what people type', () => {
  const list = Object.entries(WORDS).flatMap(([id, words]) =>
    words.split(/\s+/).map((word) => [word, id] as const),
  );
  test('at least 150 words are looked for', () =>
    expect(new Set(list.map(([word]) => word)).size).toBeGreaterThanOrEqual(150));
  test.each(list)('%s leads to %s', (word, id) => expect(ids(word)).toContain(id));
  test('two words narrow it down; what nobody means finds nothing', () => {
    expect(ids('print labels')).toEqual(['labels']);
    expect(ids('xylophone')).toEqual([]);
  });
});

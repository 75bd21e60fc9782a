/**
 * Words that people use for what can be done, beyond those of its title, in both languages: a command is found by the
 * beginning of any of them. By the ids of the commands in `CommandBox.vue`.
 */
export const COMMAND_WORDS: Readonly<Record<string, string>> = {
  preferences:
    'settings options preferences setup configuration configure units unit inch inches imperial metric millimetres mm feet awg gauge gauges mm2 celsius fahrenheit degrees torque newton pounds kilograms weight language taal dutch english nederlands decimal comma currency money euro dollar pound price sign date dates paper letter a4 dark light theme instellingen voorkeuren eenheden',
  keys: 'help keys keyboard shortcuts shortcut hotkeys manual hulp sneltoetsen',
  import: 'import open load file json read job bestand openen inlezen',
  schedule: 'import csv spreadsheet excel table schedule template columns list paste tabel sjabloon',
  export: 'export save file json download share send backup opslaan bewaren delen',
  keeping:
    'backup restore recover version versions history bin trash deleted undelete recycle storage data zip archive reservekopie terugzetten prullenbak',
  duplicate: 'duplicate copy clone again twice kopie dupliceren',
  return: 'return negative minus ground earth black pair back other pole retour min massa aarde',
  delete: 'delete remove erase discard verwijderen wissen',
  card: 'card sheet summary overview share print kaart blad',
  traveller: 'print traveller steps paper worksheet job sheet afdrukken',
  drawing: 'drawing svg picture image export tekening',
  'at-bench': 'bench make steps guide instructions crimp how workshop maken stappen',
  batch: 'batch several many series production tray serie',
  kit: 'kit cut cutting list shopping buy order stock spool spools offcut offcuts material materials bom weight cost price inventory shelf voorraad zaaglijst knippen kopen',
  labels:
    'cutting list print saw plan labels label print sticker stickers heat shrink tag tags marker markers qr etiket etiketten',
  case: 'tools tool case dies die lugs lug terminal terminals sleeves sleeve heatshrink crimper crimping catalogue gereedschap matrijs kabelschoen krimpkous',
  'in-your-case':
    'questions questionnaire tools own setup start workshop shop empty example werkplaats vragen',
  section: 'section lab cut open saw picture photo void voids air compaction microscope doorsnede foto',
  records: 'record records test report reports certificate proof pdf print zip all rapport keuring',
  system:
    'system diagram wiring installation schematic network single line fuse fuses battery bank schema installatie',
  together: 'optimise optimize optimum together all sizes cheapest least copper budget cost weight',
  hunt: 'hunt fault trouble troubleshoot diagnose voltage drop bad joint corrosion hot loose measure storing zoeken spanningsval',
  log: 'log history due maintenance retorque service calendar search find made onderhoud logboek',
  handover: 'handover as built owner survey surveyor inspector documents pack delivery oplevering',
  trends: 'trends wear dies drift control chart statistics spc slijtage',
  practice:
    'practice method methods standard standards school schools rules abyc iso limits margin solder defaults werkwijze norm',
  training: 'training train learn practise practice eye quiz test spot exercise oefenen leren',
  new: 'new cable add create plus wire lead nieuw toevoegen kabel',
  undo: 'undo back revert mistake ongedaan terug',
  redo: 'redo again forward opnieuw',
  start: 'start home begin welcome first page beginpagina',
  job: 'new job project boat empty create nieuw werk klus',
  jobs: 'jobs list open recent projects all switch klussen lijst',
  demo: 'demo example sample tutorial look round made-up voorbeeld',
  source:
    'source battery resistance short circuit fault current fuse breaker protection kortsluiting accu zekering',
  place:
    'ambient temperature air heat bundle conduit engine room sun derating terminal rating omgeving temperatuur',
  duty: 'duty surge cycle peak inrush starting thruster windlass motor piek',
  prove:
    'insulation megger resistance pull milliohm measure reading readings prove test crimp height isolatie meten',
  fit: 'torque tighten bolt install fit nut washer stud boot aandraaien moment',
};

/** A command's own words and those that people use for it. */
const wordsOf = ({
  id,
  title,
  note,
}: {
  readonly id: string;
  readonly title: string;
  readonly note: string;
}) => `${title} ${note} ${COMMAND_WORDS[id] ?? ''}`.toLowerCase();

/**
 * The commands that a query finds: each of its words begins a word of the command, or stands in its title. Those whose
 * title has it come first.
 */
export function findCommands<
  T extends { readonly id: string; readonly title: string; readonly note: string },
>(commands: readonly T[], query: string): readonly T[] {
  const asked = query.toLowerCase().split(/\s+/).filter(Boolean);
  const inTitle = ({ title, note }: T) =>
    asked.every((word) => `${title} ${note}`.toLowerCase().includes(word));
  const begun = (command: T) => {
    const words = wordsOf(command).split(/[^\p{L}\p{N}²]+/u);
    return asked.every((word) => words.some((own) => own.startsWith(word)));
  };
  const first = commands.filter(inTitle);
  return [...first, ...commands.filter((command) => !first.includes(command) && begun(command))];
}

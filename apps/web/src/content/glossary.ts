/** A word of the trade with its meaning, and other ways it is written in the text. */
export interface GlossaryWord {
  readonly word: string;
  readonly meaning: string;
  readonly also?: readonly string[];
}

/** Words in the order of the alphabet. */
export const glossary: readonly GlossaryWord[] = [
  { word: 'adapter', meaning: 'a joint part that joins one size or thread to another' },
  { word: 'barb', meaning: 'a ridged spigot on which hose is pushed and clamped' },
  {
    word: 'base pressure',
    meaning: 'rail minus manifold pressure at which the regulator is set',
  },
  { word: 'brief', meaning: 'the agreed facts and targets of a build' },
  {
    word: 'build',
    meaning: 'one vehicle with one engine conversion; the unit of work and of files',
  },
  {
    word: 'build book',
    meaning: 'the printed hand-over: as-built drawings, lists, settings, measurements',
  },
  { word: 'bung', meaning: 'a threaded boss welded or bolted into a tank or pipe' },
  { word: 'clocking', meaning: 'the angle between two angled ends of one hose' },
  { word: 'dash size', meaning: 'nominal tube outside diameter in sixteenths of an inch' },
  {
    word: 'dead time',
    meaning: 'opening minus closing delay of an injector',
    also: ['dead times'],
  },
  { word: 'dead-head', meaning: 'a branch with no through-flow', also: ['dead-headed'] },
  { word: 'demand map', meaning: 'fuel flow over engine speed and load' },
  {
    word: 'duty',
    meaning: 'share of the cycle an injector is open; share of the period a pulsed output is on',
  },
  { word: 'ear clamp', meaning: 'a clamp that is closed for good by pinching its ear' },
  { word: 'feed', meaning: 'the line from pump to engine', also: ['feed line'] },
  {
    word: 'ferrule',
    meaning: 'a ring that is squeezed onto a tube to seal and hold it in a fitting',
  },
  {
    word: 'finding',
    meaning: 'the result of a check: stop, warning or note, with reason, number and cure',
    also: ['findings'],
  },
  { word: 'flare', meaning: 'a tube end widened to a cone that a nut presses onto its seat' },
  {
    word: 'formboard',
    meaning: 'full-size flat layout on which a harness is built',
  },
  {
    word: 'keyed feed',
    meaning: 'a supply that is live with the key in RUN; whether it is live in CRANK is stated',
  },
  {
    word: 'limit ladder',
    meaning: 'the checks in the order in which they fail as power rises',
    also: ['ladder'],
  },
  { word: 'one-trip list', meaning: 'everything that is still to buy' },
  { word: 'pass-through', meaning: 'a hole in a panel with grommet, boot or bulkhead fitting' },
  {
    word: 'power ground',
    meaning: 'the way back of load current; not the sensor ground and not the chassis',
  },
  {
    word: 'prime',
    meaning: 'running the pump before the engine turns, to fill and raise pressure',
  },
  { word: 'rail', meaning: 'the tube that feeds the injectors' },
  {
    word: 'relay contacts',
    meaning: '85, 86 coil; 30 common; 87 normally open; 87a normally closed',
  },
  {
    word: 'return',
    meaning: 'the line from the regulator back to the tank',
    also: ['return line'],
  },
  { word: 'ripple', meaning: 'what changed downstream after an edit' },
  { word: 'sag', meaning: 'how far Δp at the injectors falls below what the ECU assumes' },
  {
    word: 'sensor ground',
    meaning: 'the quiet ground of sensors at the ECU; never tied to the chassis',
  },
  { word: 'service loop', meaning: 'planned extra length of a wire' },
  {
    word: 'sink',
    meaning: 'a driver on the low side: it connects the load to ground',
    also: ['low side', 'low-side'],
  },
  {
    word: 'source',
    meaning: 'a driver on the high side: it connects the load to supply',
    also: ['high side', 'high-side'],
  },
  { word: 'static pressure', meaning: 'pump on, engine off, reference open to air' },
  { word: 'stud', meaning: 'a distribution point' },
  { word: 'suction', meaning: 'the line from tank to pump' },
  { word: 'trigger', meaning: 'what turns a relay or module channel on' },
  {
    word: 'trunk',
    meaning: 'the common run of a harness; branches leave it at breakouts, wires meet in splices',
  },
  { word: 'vent', meaning: 'the line that lets air in and out of a tank' },
  {
    word: 'Δp',
    meaning: 'differential pressure: rail minus manifold pressure at an instant',
    also: ['differential pressure'],
  },
];

/** Address of a word on the page of words. */
export const wordId = (word: string): string => word.toLowerCase().replace(/[^a-zδ]+/g, '-');

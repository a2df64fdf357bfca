/**
 * Terminal marks of the 24 V class and their neighbours: what is printed beside a screw, and what it means.
 * The mark is the truth of a terminal; what hangs on it is recorded separately.
 */

export type MarkClass =
  'hot' | 'common' | 'call' | 'contact' | 'accessory' | 'sensor' | 'data' | 'mains' | 'ambiguous';

export interface MarkFacts {
  /** The mark in the form the core compares: upper case, no slash. */
  readonly mark: string;
  readonly class: MarkClass;
  /** What it does, for a person who reads the word for the first time. */
  readonly means: string;
}

const facts: readonly MarkFacts[] = [
  { mark: 'R', class: 'hot', means: '24 V hot, from the only transformer' },
  { mark: 'RH', class: 'hot', means: '24 V hot for heating' },
  { mark: 'RC', class: 'hot', means: '24 V hot for cooling' },
  { mark: 'C', class: 'common', means: 'common, the other side of the transformer' },
  { mark: 'W1', class: 'call', means: 'first heat stage' },
  { mark: 'W2', class: 'call', means: 'second heat stage, or auxiliary heat of a heat pump' },
  { mark: 'AUX', class: 'call', means: 'auxiliary heat of a heat pump' },
  { mark: 'Y1', class: 'call', means: 'first compressor stage' },
  { mark: 'Y2', class: 'call', means: 'second compressor stage' },
  { mark: 'G', class: 'call', means: 'blower' },
  { mark: 'O', class: 'call', means: 'reversing valve, energised for cooling' },
  {
    mark: 'B',
    class: 'ambiguous',
    means: 'reversing valve, energised for heating; common on some old plates'
  },
  { mark: 'OB', class: 'call', means: 'reversing valve, either way, chosen in set-up' },
  { mark: 'E', class: 'ambiguous', means: 'emergency heat; on some old plates the heating hot' },
  { mark: 'X', class: 'ambiguous', means: 'common on some boards, emergency heat on others' },
  { mark: 'X2', class: 'ambiguous', means: 'common on some boards, emergency heat on others' },
  { mark: 'L', class: 'ambiguous', means: 'fault lamp; on mains controls live: stop' },
  { mark: 'K', class: 'call', means: 'Y and G combined on one wire, with an adapter at the equipment' },
  ...[1, 2, 3, 4, 5, 6, 7, 8].map((zone) => ({
    mark: `Z${zone}`,
    class: 'call' as const,
    means: `call of zone ${zone}, on a panel that several zones share`
  })),
  { mark: 'S', class: 'sensor', means: 'remote sensor: never 24 V' },
  { mark: 'S1', class: 'sensor', means: 'remote sensor: never 24 V' },
  { mark: 'S2', class: 'sensor', means: 'remote sensor: never 24 V' },
  { mark: 'HUM', class: 'accessory', means: 'humidifier' },
  { mark: 'DEHUM', class: 'accessory', means: 'dehumidifier' },
  { mark: 'ACC', class: 'accessory', means: 'accessory' },
  { mark: 'V', class: 'ambiguous', means: 'ventilator; hot on some boards' },
  { mark: 'GND', class: 'ambiguous', means: 'common on some boards, earth on others: read the diagram' },
  { mark: 'T', class: 'contact', means: 'two-wire contact: closing it calls for heat' },
  { mark: 'TT', class: 'contact', means: 'two-wire contact: closing it calls for heat' },
  { mark: 'T1', class: 'contact', means: 'two-wire contact: closing it to T2 calls for heat' },
  { mark: 'T2', class: 'contact', means: 'two-wire contact: closing it to T1 calls for heat' },
  { mark: '1', class: 'data', means: 'data line of a communicating system' },
  { mark: '2', class: 'data', means: 'data line of a communicating system' },
  { mark: '3', class: 'data', means: 'data line of a communicating system' },
  {
    mark: '4',
    class: 'ambiguous',
    means: 'heating hot on some old plates, data line of a communicating system on others'
  },
  { mark: '5', class: 'ambiguous', means: 'a call or a hot on some old plates, data on others' },
  { mark: '6', class: 'ambiguous', means: 'a call on some old plates, data on others' },
  { mark: 'A', class: 'data', means: 'data line of a communicating system' },
  { mark: 'D', class: 'data', means: 'data line of a communicating system' },
  { mark: '+', class: 'data', means: 'data line of a communicating system' },
  { mark: '-', class: 'data', means: 'data line of a communicating system' },
  { mark: 'L1', class: 'mains', means: 'mains: stop' },
  { mark: 'L2', class: 'mains', means: 'mains: stop' },
  { mark: 'N', class: 'mains', means: 'mains neutral: stop' },
  { mark: 'LINE', class: 'mains', means: 'mains in: stop' },
  { mark: 'LOAD', class: 'mains', means: 'mains out: stop' }
];

export const MARKS: ReadonlyMap<string, MarkFacts> = new Map(facts.map((fact) => [fact.mark, fact]));

/** Marks a user meets most, in the order in which a picker offers them. */
export const COMMON_MARKS = [
  'R',
  'RH',
  'RC',
  'C',
  'W',
  'W2',
  'Y',
  'Y2',
  'G',
  'O',
  'B',
  'O/B',
  'AUX',
  'E',
  'K',
  'X',
  'T1',
  'T2',
  'L1',
  'L2'
] as const;

/** Spellings of one and the same mark. */
const SPELLINGS: Readonly<Record<string, string>> = {
  W: 'W1',
  Y: 'Y1',
  'O/B': 'OB',
  'B/O': 'OB',
  'W2/AUX': 'W2',
  'AUX/W2': 'W2',
  'W1/E': 'W1'
};

/**
 * Other prints for the same functions, and screws that have two functions at once (handbook of the trade: boards that join both stages,
 * heat with emergency heat). Any of them may mean something else on an odd board: what somebody states about a screw goes before this table.
 */
const PRINTS: Readonly<Record<string, readonly string[]>> = {
  '24V': ['R'],
  '24VAC': ['R'],
  '24V HOT': ['R'],
  '24VAC(R)': ['R'],
  'R/24V': ['R'],
  VR: ['R'],
  HOT: ['R'],
  TR: ['R'],
  COM: ['C'],
  '24V COM': ['C'],
  '24VCOM': ['C'],
  '24VAC(C)': ['C'],
  '24VAC COM': ['C'],
  'C/COM': ['C'],
  TH: ['W1'],
  TSTAT: ['W1'],
  H: ['W1'],
  'W/E': ['W1', 'E'],
  'W1/E': ['W1', 'E'],
  'W/AUX': ['W1', 'AUX'],
  'W2/AUX': ['W2', 'AUX'],
  'AUX/W2': ['W2', 'AUX'],
  'AUX/E': ['AUX', 'E'],
  'E/AUX': ['AUX', 'E'],
  'Y/Y2': ['Y1', 'Y2'],
  'Y1/Y2': ['Y1', 'Y2'],
  F: ['G']
};

/** `Z1`, `Z2`, …: the call terminal of one zone on a panel that several share. */
export const ZONE_MARK = /^Z\d+$/;

/**
 * The mark in the form in which prints are compared: `w` and `W` become `W1`, `o/b` becomes `OB`, `COM` becomes `C`. Unknown marks stay as
 * they are, in upper case.
 */
export function canonicalMark(printed: string): string {
  const known = canonicalOf.get(printed);
  if (known !== undefined) return known;
  const upper = upperMark(printed);
  const mark = SPELLINGS[upper] ?? PRINTS[upper]?.[0] ?? upper;
  if (canonicalOf.size < MOST_SPELLINGS) canonicalOf.set(printed, mark);
  return mark;
}

function upperMark(printed: string): string {
  return printed.trim().replace(/\s+/g, ' ').toUpperCase();
}

/** Spellings met so far: a circuit asks for the same few marks over and over. Bounded, since a record may hold any text. */
const canonicalOf = new Map<string, string>();
const MOST_SPELLINGS = 500;

/** Everything that a print usually means at once, in canonical marks; empty where the trade does not know it. */
export function usualMeanings(printed: string): readonly string[] {
  const upper = upperMark(printed);
  const several = PRINTS[upper];
  if (several) return several;
  const mark = SPELLINGS[upper] ?? upper;
  return MARKS.has(mark) && !UNDECIDED.has(mark) ? [mark] : [];
}

/** Known prints that say nothing by themselves: whichever of their readings is likelier, nobody knows it until something decides. */
const UNDECIDED: ReadonlySet<string> = new Set(['GND', 'B', 'X', 'X2', '4', '5', '6']);

/**
 * A short name of a print for ids: `w1`, `o/b` as `ob`, `+` as `plus`, no print as `blank`. Spellings of one mark share it; other prints
 * keep their own letters.
 */
export function markSlug(printed: string): string {
  const upper = upperMark(printed);
  const slug = (SPELLINGS[upper] ?? upper)
    .toLowerCase()
    .replace(/\+/g, 'plus')
    .replace(/^-$/, 'minus')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return slug === '' ? 'blank' : slug;
}

/** Facts of a mark as printed, or undefined when the trade does not know it. */
export function markFacts(printed: string): MarkFacts | undefined {
  return MARKS.get(canonicalMark(printed));
}

export function markClass(printed: string): MarkClass | undefined {
  return markFacts(printed)?.class;
}

/** `R`, `RH` or `RC`: a terminal that carries the hot side of a transformer. */
export function isHot(mark: string): boolean {
  return markClass(mark) === 'hot';
}

/** Marks that a hot conductor may be on, in the order in which a machine's own is looked for; a contact's first side counts as one. */
export const HOT_MARKS = ['R', 'RH', 'RC', 'T1', 'T'] as const;

/** Whether a sheet's list of marks has a terminal that does what the mark says. */
export function marksMean(marks: readonly string[], mark: string): boolean {
  const wanted = canonicalMark(mark);
  return marks.some(
    (candidate) => usualMeanings(candidate).includes(wanted) || canonicalMark(candidate) === wanted
  );
}

/** One of the things that an ambiguous mark may stand for, and what decides for it. */
export interface MarkReading {
  readonly id:
    | 'reversing'
    | 'common'
    | 'emergency'
    | 'hot'
    | 'second-heat'
    | 'auxiliary'
    | 'lamp'
    | 'mains'
    | 'data'
    | 'call'
    | 'ventilator'
    | 'earth';
  /** What it would be as a mark; null where that depends on the other end. */
  readonly mark: string | null;
  readonly means: string;
  /** What has to be seen at the other end for this reading. */
  readonly decidedBy: string;
}

const asReversing: MarkReading = {
  id: 'reversing',
  mark: 'B',
  means: 'reversing valve, energised for heating',
  decidedBy: 'the other end is on B, O or O/B of a heat pump'
};
const asCommon: MarkReading = {
  id: 'common',
  mark: 'C',
  means: 'common',
  decidedBy: 'the other end is on C, or on the transformer’s other side'
};
const asEmergency: MarkReading = {
  id: 'emergency',
  mark: 'E',
  means: 'emergency heat',
  decidedBy: 'the other end is on E, X2 or W2 of a heat pump'
};
const asHot: MarkReading = { id: 'hot', mark: 'R', means: 'hot', decidedBy: 'the other end is on R' };
const asData: MarkReading = {
  id: 'data',
  mark: null,
  means: 'data line',
  decidedBy: 'the other end is on an interface board with numbers or letters like these'
};
const asCall: MarkReading = {
  id: 'call',
  mark: null,
  means: 'a call such as W, Y or G',
  decidedBy: 'the other end is on W, Y or G'
};

/** The readings that a mark carries until something decides; a mark that is not here has one meaning only. */
export const MARK_READINGS: Readonly<Record<string, readonly MarkReading[]>> = {
  B: [asReversing, asCommon],
  X: [asCommon, asEmergency],
  X2: [asEmergency, asCommon],
  E: [asEmergency, asHot],
  W2: [
    {
      id: 'second-heat',
      mark: 'W2',
      means: 'second heat stage',
      decidedBy: 'the machine is a furnace or boiler'
    },
    { id: 'auxiliary', mark: 'AUX', means: 'auxiliary heat', decidedBy: 'the machine is a heat pump' }
  ],
  '4': [asHot, asData],
  '5': [asCall, asHot, asData],
  '6': [asCall, asData],
  V: [
    { id: 'ventilator', mark: 'V', means: 'ventilator', decidedBy: 'the other end is on V of a ventilator' },
    asHot
  ],
  GND: [
    asCommon,
    { id: 'earth', mark: null, means: 'earth', decidedBy: 'the diagram shows it joined to the cabinet alone' }
  ],
  L: [
    { id: 'lamp', mark: 'L', means: 'fault lamp', decidedBy: 'the other end is on L of a 24 V board' },
    {
      id: 'mains',
      mark: null,
      means: 'live of the mains: stop',
      decidedBy: 'N stands beside it, or a meter reads more than 50 V'
    }
  ]
};

/** The words of the trade, for who meets them for the first time: two short sentences each, and which drawing shows it. */

export const DRAWINGS = [
  'loop',
  'jumper',
  'terminal',
  'transformer',
  'board',
  'spare',
  'heat-pump',
  'zone-valve',
  'wire-nut',
  'fuse'
] as const;
export type Drawing = (typeof DRAWINGS)[number];

export interface Word {
  readonly id: string;
  readonly term: string;
  /** Other names that people use for it. */
  readonly also: readonly string[];
  readonly text: string;
  readonly drawing: Drawing | null;
}

const word = (
  id: string,
  term: string,
  also: string,
  text: string,
  drawing: Drawing | null = null
): Word => ({
  id,
  term,
  also: also === '' ? [] : also.split(', '),
  text,
  drawing
});

export const GLOSSARY = [
  word(
    'c-wire',
    'C wire',
    'common, common wire',
    'The wire that takes the current back to the transformer. With it a thermostat is fed all the time; without it, many can only take a little while nothing runs.',
    'loop'
  ),
  word(
    'jumper',
    'Jumper',
    'link, bridge',
    'A short piece of wire or a metal clip that joins two terminals. The one between RH and RC lets one transformer feed heating and cooling.',
    'jumper'
  ),
  word(
    'terminal',
    'Terminal',
    'screw, clamp',
    'A screw or a clamp that holds the end of a wire. The letter beside it says what it is for, but makers do not all use letters in the same way.',
    'terminal'
  ),
  word(
    'transformer',
    'Transformer',
    '24 V supply',
    'A small block that makes 24 volts out of house current. It usually sits in the furnace or the air handler, and its size in VA says how much can hang on it.',
    'transformer'
  ),
  word(
    'control-board',
    'Control board',
    'board, terminal strip',
    'The circuit board in the furnace or air handler where the thermostat wires end. It switches the burner, the blower and the rest.',
    'board'
  ),
  word(
    'spare-wire',
    'Spare wire',
    'spare, unused wire',
    'A wire of the cable that nobody uses, often coiled in the wall or wrapped round the cable. It can become the C wire, if it is free at the other end too.',
    'spare'
  ),
  word(
    'heat-pump',
    'Heat pump',
    '',
    'An outdoor unit that cools in summer and heats in winter. A valve turns it round, and it needs a wire of its own (O or B).',
    'heat-pump'
  ),
  word(
    'zone-valve',
    'Zone valve',
    'zone panel',
    'A motor valve that lets hot water into one part of the house. Several thermostats may share one transformer through a panel of them.',
    'zone-valve'
  ),
  word(
    'r',
    'R, RH, RC',
    'power, hot',
    'The wire that brings 24 volts to the thermostat: R for one supply, RH for heating, RC for cooling. It must never touch C.',
    'loop'
  ),
  word(
    'w',
    'W',
    'W1, heat',
    'The wire that asks for heat. When the thermostat joins it to R, the burner or the boiler starts.'
  ),
  word(
    'y',
    'Y',
    'Y1, cooling',
    'The wire that asks for the compressor: cooling, and in a heat pump heating too. It needs a pause of some minutes between two starts.'
  ),
  word(
    'g',
    'G',
    'fan',
    'The wire that asks for the blower alone. Without it the fan runs only with heating or cooling.'
  ),
  word(
    'ob',
    'O and B',
    'reversing valve',
    'The wire that turns a heat pump from heating to cooling. With the wrong setting it cools when you ask for heat.',
    'heat-pump'
  ),
  word(
    'aux',
    'Auxiliary heat',
    'AUX, W2, strips',
    'Electric heaters that help a heat pump on cold days. They are strong and dear to run.'
  ),
  word(
    'blower',
    'Blower',
    'fan',
    'The fan in the furnace or air handler that moves the air through the house.'
  ),
  word(
    'compressor',
    'Compressor',
    'outdoor unit',
    'The pump in the outdoor unit that does the cooling. Starting it on a cold day or too often breaks it.'
  ),
  word(
    'air-handler',
    'Air handler',
    '',
    'A cabinet with a blower and a coil, and no burner. It goes with a heat pump or an air conditioner.',
    'board'
  ),
  word(
    'adapter',
    'Adapter',
    'power kit, add-a-wire',
    'A small part that gives a thermostat its supply over fewer wires. It is fitted at the control board and must suit the thermostat.'
  ),
  word(
    'plug-in',
    'Plug-in transformer',
    'wall plug supply',
    'A transformer in an outlet with a thin cord to the thermostat. It feeds the thermostat and leaves the furnace alone.',
    'transformer'
  ),
  word(
    'wire-nut',
    'Wire nut',
    'wire connector',
    'A cap that joins the bare ends of wires by turning. Pull at each wire afterwards: none may come out.',
    'wire-nut'
  ),
  word(
    'fuse',
    'Fuse',
    'blade fuse',
    'A thin piece of metal that melts before the transformer burns. On many control boards it is a car fuse of 3 or 5 amps.',
    'fuse'
  ),
  word(
    'breaker',
    'Breaker',
    'circuit breaker',
    'The switch in the electrical panel that cuts one circuit. The furnace and the outdoor unit have one each.'
  ),
  word(
    'mains',
    'Mains voltage',
    'line voltage, 120 V, 230 V',
    'House current that can kill. Thick wires, wire nuts behind the thermostat and marks like L and LOAD are signs of it: stop.'
  ),
  word(
    'millivolt',
    'Millivolt heater',
    'standing pilot',
    'A gas heater that makes its own tiny voltage from a flame. No thermostat that needs a supply may be joined to it.'
  ),
  word(
    'continuity',
    'Continuity',
    'beep test',
    'With the power off, a meter that beeps shows that two ends are one wire. It is the sure way to tell which wire is which.'
  ),
  word(
    'meter',
    'Meter',
    'multimeter',
    'A tool that shows volts and whether a wire is whole. Set it to AC volts (V~) for this work.'
  ),
  word(
    'float-switch',
    'Float switch',
    '',
    'A switch in the drip pan that stops the cooling before water runs over. It often sits in the R or Y wire.'
  ),
  word(
    'wiring-centre',
    'Wiring centre',
    'junction box of the heating, numbered strip',
    'A box with a numbered strip where the cables of timer, thermostats, valves, pump and boiler meet. It carries 230 volts: only somebody competent opens it.'
  ),
  word(
    'timer-programmer',
    'Timer',
    'programmer, time switch',
    'The clock that switches heating and hot water on and off at 230 volts. A controller takes its place, and often that of the room thermostat too.'
  ),
  word(
    'mid-position-valve',
    'Mid-position valve',
    'three-port valve',
    'One motorised valve with three pipes that sends the water to radiators, cylinder or both. It rests on hot water.'
  ),
  word(
    'two-port-valve',
    'Two-port valve',
    'motorised valve',
    'A motorised valve with two pipes that opens one way. Its end switch starts boiler and pump once it is open.'
  ),
  word(
    'volt-free',
    'Volt-free contact',
    'dry contact, voltage-free contact',
    'A switch that is joined to no supply inside. Whatever it has to switch is brought to its common; a boiler may bring a small voltage of its own.'
  ),
  word(
    'fused-spur',
    'Fused spur',
    'spur',
    'The switch with a small fuse, as a rule 3 A, that the heating controls hang on. Off there at both poles, and the fuse in your pocket.'
  )
] as const satisfies readonly Word[];
export type WordId = (typeof GLOSSARY)[number]['id'];

export function findWord(id: string): Word | undefined {
  return GLOSSARY.find((entry) => entry.id === id);
}

/** A piece of a text; `word` where it names a word of the glossary. */
export interface Piece {
  readonly text: string;
  readonly word: WordId | null;
}

/** Letters of terminals stand in every other sentence, and alone they say too little to be told from others. */
const NAMED = GLOSSARY.filter(({ term }) => term.length > 2 && !term.includes(','));
const ANY_NAME = new RegExp(`\\b(${NAMED.map(({ term }) => term).join('|')})(s?)\\b`, 'gi');

/** A text cut where it names words of the glossary, each only where it first stands. */
export function withWords(text: string): readonly Piece[] {
  const pieces: Piece[] = [];
  const told = new Set<string>();
  let from = 0;
  for (const found of text.matchAll(ANY_NAME)) {
    const word = NAMED.find(({ term }) => term.toLowerCase() === found[1]?.toLowerCase());
    if (!word || told.has(word.id)) continue;
    told.add(word.id);
    if (found.index > from) pieces.push({ text: text.slice(from, found.index), word: null });
    pieces.push({ text: found[0], word: word.id });
    from = found.index + found[0].length;
  }
  return from < text.length ? [...pieces, { text: text.slice(from), word: null }] : pieces;
}

/** Words whose name, other names or text hold all that is asked for; those whose name does first. */
export function searchWords(asked: string, say = (text: string) => text): readonly Word[] {
  const parts = asked.toLowerCase().split(/\s+/).filter(Boolean);
  const both = (text: string) => `${text} ${say(text)}`.toLowerCase();
  const named = ({ term, also }: Word) => both([term, ...also].join(' '));
  const holds = (text: string) => parts.every((part) => text.includes(part));
  const words: readonly Word[] = GLOSSARY;
  const first = words.filter((entry) => holds(named(entry)));
  const others = words.filter(
    (entry) => !first.includes(entry) && holds(`${named(entry)} ${both(entry.text)}`)
  );
  return [...first, ...others];
}

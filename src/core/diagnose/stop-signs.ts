/** What ends the finding out: somebody else is called, and nothing more is tried. */

export interface StopSign {
  readonly id: string;
  readonly ask: string;
  readonly then: string;
}

export const STOP_SIGNS: readonly StopSign[] = [
  {
    id: 'smell',
    ask: 'It smells burnt, or there is smoke',
    then: 'Switch the breaker off and leave it off. Let a technician see the transformer and the board before anything gets power again.'
  },
  {
    id: 'gas',
    ask: 'It smells of gas',
    then: 'Touch no switch. Go out, leave the door open, and call the gas emergency line from outside.'
  },
  {
    id: 'hot',
    ask: 'A transformer or a wire is too hot to hold',
    then: 'Switch the breaker off and leave it off: something takes far more current than it should. Call a technician.'
  },
  {
    id: 'water',
    ask: 'Water is in the machine or drips on it',
    then: 'Switch the breaker off. Have the drain cleared and the machine dried before it gets power again.'
  },
  {
    id: 'fuse-again',
    ask: 'A new fuse opened at once, for the second time',
    then: 'Do not put in a third. There is a short: power off, and look for bare copper that touches, or call a technician.'
  },
  {
    id: 'mains',
    ask: 'Thick wires with wire nuts, or a meter shows more than 32 V',
    then: 'Put the cover back on and leave it. This is mains voltage, or may be: a licensed person has to look.'
  }
];

export function stopSign(id: string): StopSign | null {
  return STOP_SIGNS.find((sign) => sign.id === id) ?? null;
}

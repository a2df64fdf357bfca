/**
 * The controllers that ship: invented makers and models that span what sheets differ in. Two plates of one pattern (`a`) have another order, so that
 * nobody can move wires by their number.
 */
import type { ControllerFacts } from '../../job/controller-facts';
import { makeId } from '../../job/ids';
import type { MainsFunction } from '../../trade/mains';

type Plate = readonly (readonly [mark: string, does: MainsFunction])[];

const PLATE_A: Plate = [
  ['N', 'neutral'],
  ['L', 'live'],
  ['1', 'water-off'],
  ['2', 'heating-off'],
  ['3', 'water-on'],
  ['4', 'heating-on'],
  ['E', 'earth']
];
/** The same screws in the same places as `PLATE_A`, and another order. */
const PLATE_A_TURNED: Plate = [
  ['N', 'neutral'],
  ['L', 'live'],
  ['1', 'heating-on'],
  ['2', 'water-on'],
  ['3', 'heating-off'],
  ['4', 'water-off'],
  ['E', 'earth']
];
const PLATE_B_FREE: Plate = [
  ['N', 'neutral'],
  ['L', 'live'],
  ['E', 'earth'],
  ['COM1', 'heating-common'],
  ['NO1', 'heating-on'],
  ['NC1', 'heating-off'],
  ['COM2', 'water-common'],
  ['NO2', 'water-on'],
  ['NC2', 'water-off']
];
const PLATE_B_FREE_NO_OFF: Plate = PLATE_B_FREE.filter(([mark]) => !mark.startsWith('NC'));
const PLATE_B_MIXED: Plate = [
  ['N', 'neutral'],
  ['L', 'live'],
  ['E', 'earth'],
  ['A1', 'heating-common'],
  ['A2', 'heating-on'],
  ['B2', 'water-on'],
  ['B3', 'water-off']
];
const ONE_FREE: Plate = [
  ['N', 'neutral'],
  ['L', 'live'],
  ['E', 'earth'],
  ['COM', 'heating-common'],
  ['NO', 'heating-on']
];
const ONE_FREE_LOW: Plate = [
  ['L', 'live'],
  ['N', 'neutral'],
  ['COM', 'heating-common'],
  ['NO', 'heating-on'],
  ['+', 'low-a'],
  ['-', 'low-b']
];
const ONE_LINKED: Plate = [
  ['L', 'live'],
  ['N', 'neutral'],
  ['OUT', 'heating-on']
];
const TWO_LOW: Plate = [...PLATE_A, ['T+', 'low-a'], ['T-', 'low-b']];

function model(
  id: string,
  maker: string,
  name: string,
  plate: Plate,
  facts: Omit<ControllerFacts, 'id' | 'maker' | 'model' | 'plate' | 'note' | 'earthPark' | 'drawVa'>
): ControllerFacts {
  return {
    id: makeId('controller', id),
    maker,
    model: name,
    plate: plate.map(([mark, does]) => ({ mark, does })),
    earthPark: plate.some(([, does]) => does === 'earth'),
    drawVa: 3,
    note: '',
    ...facts
  };
}

export const CONTROLLERS: readonly ControllerFacts[] = [
  model('tarnwick-duo', 'Tarnwick', 'Duo 2', PLATE_A, {
    channels: 2,
    heatingContact: 'linked',
    waterContact: 'linked',
    pattern: 'a',
    wallPart: 'wireless',
    gravityMode: true,
    maxAmps: 5,
    price: 180
  }),
  model('lorrimund-pair', 'Lorrimund', 'Pair', PLATE_A_TURNED, {
    channels: 2,
    heatingContact: 'linked',
    waterContact: 'linked',
    pattern: 'a',
    wallPart: 'wireless',
    gravityMode: false,
    maxAmps: 3,
    price: 140
  }),
  model('oskerry-twin', 'Oskerry', 'Twin Free', PLATE_B_FREE, {
    channels: 2,
    heatingContact: 'volt-free',
    waterContact: 'volt-free',
    pattern: 'b',
    wallPart: 'wireless',
    gravityMode: true,
    maxAmps: 6,
    price: 210
  }),
  model('hollinfast-two', 'Hollinfast', 'Two', PLATE_B_FREE_NO_OFF, {
    channels: 2,
    heatingContact: 'volt-free',
    waterContact: 'volt-free',
    pattern: 'b',
    wallPart: 'wireless',
    gravityMode: false,
    maxAmps: 6,
    price: 150
  }),
  model('slatewright-mix', 'Slatewright', 'Mix', PLATE_B_MIXED, {
    channels: 2,
    heatingContact: 'volt-free',
    waterContact: 'linked',
    pattern: 'b',
    wallPart: 'wireless',
    gravityMode: false,
    maxAmps: 3,
    price: 165
  }),
  model('corriedale-hall', 'Corriedale', 'Hall 2', TWO_LOW, {
    channels: 2,
    heatingContact: 'linked',
    waterContact: 'linked',
    pattern: 'a',
    wallPart: 'wired-low-voltage',
    gravityMode: true,
    maxAmps: 5,
    price: 190
  }),
  model('pennhollow-solo', 'Pennhollow', 'Solo', ONE_FREE, {
    channels: 1,
    heatingContact: 'volt-free',
    waterContact: null,
    pattern: 'b',
    wallPart: 'wireless',
    gravityMode: false,
    maxAmps: 6,
    price: 110
  }),
  model('brackenhurst-one', 'Brackenhurst', 'One', ONE_LINKED, {
    channels: 1,
    heatingContact: 'linked',
    waterContact: null,
    pattern: 'b',
    wallPart: 'wireless',
    gravityMode: false,
    maxAmps: 3,
    price: 90
  }),
  model('pennhollow-solo-w', 'Pennhollow', 'Solo W', ONE_FREE_LOW, {
    channels: 1,
    heatingContact: 'volt-free',
    waterContact: null,
    pattern: 'b',
    wallPart: 'wired-low-voltage',
    gravityMode: false,
    maxAmps: 6,
    price: 120
  })
];

export function controllerName(facts: ControllerFacts): string {
  return `${facts.maker} ${facts.model}`;
}

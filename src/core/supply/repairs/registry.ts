/**
 * What is put right as part of the work. The compiler refuses a repair of the vocabulary that is not here; two of them belong to a way of
 * supply and are made with it: the fan is only given back where a cable has room for it, an old supply only goes where C comes from elsewhere.
 */
import type { RepairId } from '../../trade/vocabulary';
import { landLooseEnd } from './land-loose-end';
import { moveWrongEnd } from './move-wrong-end';
import { partSupplies } from './part-supplies';
import { replaceBroken } from './replace-broken';
import type { Repair } from './types';
import { addYGLink, removeYGLink } from './y-g-link';

const byId: Readonly<Record<RepairId, Repair | 'with-a-way'>> = {
  'part-supplies': partSupplies,
  'move-wrong-end': moveWrongEnd,
  'replace-broken': replaceBroken,
  'land-loose-end': landLooseEnd,
  'remove-y-g-link': removeYGLink,
  'add-y-g-link': addYGLink,
  'restore-fan': 'with-a-way',
  'remove-old-supply': 'with-a-way'
};

export const REPAIRS: readonly Repair[] = Object.values(byId).filter(
  (candidate) => candidate !== 'with-a-way'
);

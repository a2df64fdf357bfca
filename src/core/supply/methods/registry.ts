/**
 * All ways of supplying the common. The compiler refuses a method of the contract that is neither here nor named as not offered yet.
 */
import type { MethodId } from '../../trade/vocabulary';
import type { Method } from '../types';
import { existingC } from './existing-c';
import { newCable } from './new-cable';
import { noCNeeded } from './no-c-needed';
import { none } from './none';
import { plugInTransformer } from './plug-in-transformer';
import { repurposeG } from './repurpose-g';
import { spareConductor } from './spare-conductor';

/** Null: known to the trade, not offered by this version. */
const byId: Readonly<Record<MethodId, Method | null>> = {
  'existing-c': existingC,
  'spare-conductor': spareConductor,
  'repurpose-g': repurposeG,
  'combined-terminal-adapter': null,
  'signal-splitter': null,
  'plug-in-transformer': plugInTransformer,
  'added-transformer': null,
  'add-conductor': null,
  'new-cable': newCable,
  'receiver-at-equipment': null,
  'no-c-needed': noCNeeded,
  none
};

export const METHODS: readonly Method[] = Object.values(byId).filter((one): one is Method => one !== null);

export function findMethod(id: MethodId): Method | null {
  return byId[id];
}

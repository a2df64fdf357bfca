/**
 * All ways of supplying the common. The compiler refuses a method of the vocabulary that is not here.
 */
import type { MethodId } from '../../trade/vocabulary';
import type { Method } from '../types';
import { combinedTerminalAdapter } from './combined-terminal-adapter';
import { signalSplitter } from './signal-splitter';
import { addedTransformer } from './added-transformer';
import { addConductor } from './add-conductor';
import { receiverAtEquipment } from './receiver-at-equipment';
import { existingC } from './existing-c';
import { newCable } from './new-cable';
import { noCNeeded } from './no-c-needed';
import { none } from './none';
import { plugInTransformer } from './plug-in-transformer';
import { repurposeG } from './repurpose-g';
import { spareConductor } from './spare-conductor';

const byId: Readonly<Record<MethodId, Method>> = {
  'existing-c': existingC,
  'spare-conductor': spareConductor,
  'repurpose-g': repurposeG,
  'combined-terminal-adapter': combinedTerminalAdapter,
  'signal-splitter': signalSplitter,
  'plug-in-transformer': plugInTransformer,
  'added-transformer': addedTransformer,
  'add-conductor': addConductor,
  'new-cable': newCable,
  'receiver-at-equipment': receiverAtEquipment,
  'no-c-needed': noCNeeded,
  none
};

export const METHODS: readonly Method[] = Object.values(byId);

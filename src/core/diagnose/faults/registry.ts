/** All faults. A new one is one file and one line here. */
import type { Netlist } from '../../circuit/netlist';
import type { Wiring } from '../../wiring/graph';
import type { Fault, FaultKind, FaultRule } from '../types';
import { boardCommonOpen } from './board-common-open';
import { conductorBroken } from './conductor-broken';
import { conductorLoose } from './conductor-loose';
import { conductorToEarth } from './conductor-to-earth';
import { conductorsShorted } from './conductors-shorted';
import { conductorsSwapped } from './conductors-swapped';
import { headNotSeated } from './head-not-seated';
import { linkLeftIn } from './link-left-in';
import { linkMissing } from './link-missing';
import {
  coilOpen,
  coilShorted,
  contactWelded,
  fuseOpen,
  supplyOff,
  switchOpen,
  weakTransformer
} from './parts';
import { conductorNicked, jointCorroded } from './poor-contact';
import { shortToCommon } from './short-to-common';
import { wrongTerminal } from './wrong-terminal';

const byKind: Readonly<Record<FaultKind, FaultRule>> = {
  'conductor-loose': conductorLoose,
  'conductor-broken': conductorBroken,
  'conductors-swapped': conductorsSwapped,
  'wrong-terminal': wrongTerminal,
  'link-missing': linkMissing,
  'link-left-in': linkLeftIn,
  'short-to-common': shortToCommon,
  'conductors-shorted': conductorsShorted,
  'conductor-to-earth': conductorToEarth,
  'conductor-nicked': conductorNicked,
  'joint-corroded': jointCorroded,
  'fuse-open': fuseOpen,
  'coil-open': coilOpen,
  'coil-shorted': coilShorted,
  'contact-welded': contactWelded,
  'board-common-open': boardCommonOpen,
  'supply-off': supplyOff,
  'weak-transformer': weakTransformer,
  'switch-open': switchOpen,
  'head-not-seated': headNotSeated
};

/** Every single fault that the wiring may have. */
export function faultsOf(wiring: Wiring, netlist: Netlist): Fault[] {
  return Object.values(byKind).flatMap((rule) => rule.faultsOf(wiring, netlist.elements));
}

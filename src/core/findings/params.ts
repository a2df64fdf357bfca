/**
 * What each finding says, as facts: names of things as the user or the trade calls them, marks as printed, numbers in SI units, amps, volts
 * and VA. A code keeps its meaning for good, so that files and scripts can rely on it. One code with several cases tells them by `what`.
 */
import type { HomeSystem } from '../trade/home-systems';
import type { Call } from '../trade/calls';
import type { KindWithoutModel } from '../trade/machine-kinds';
import type { EndSide, EndState, Family, LoadId } from '../trade/vocabulary';

type None = Readonly<Record<string, never>>;
interface Named {
  readonly name: string;
}
/** The model of the thermostat in question. */
interface OfModel {
  readonly model: string;
}
interface OfConductor {
  readonly conductor: string;
}

/** The record itself. */
export interface RecordParams {
  'duplicate-id': { readonly what: string; readonly id: string; readonly numbers: readonly number[] };
  'too-many': { readonly what: string; readonly count: number; readonly most: number };
  'landed-twice': OfConductor & { readonly end: EndSide; readonly screws: readonly string[] };
  'landed-nowhere': OfConductor & { readonly end: EndSide };
  'on-terminal-but-not-landed': OfConductor & {
    readonly end: EndSide;
    readonly state: EndState;
    readonly screws: readonly string[];
  };
  'device-gone': { readonly device: string };
  'link-to-itself': { readonly screw: string };
  'link-doubled': { readonly screws: readonly [string, string] };
  'unknown-reference':
    | { readonly what: 'machine'; readonly id: string }
    | (OfConductor & { readonly what: 'cable'; readonly id: string })
    | (OfConductor & { readonly what: 'place'; readonly id: string; readonly end: EndSide })
    | (OfConductor & { readonly what: 'screw'; readonly id: string; readonly at: string })
    | { readonly what: 'link'; readonly id: string; readonly end: EndSide };
  'unknown-mark': { readonly mark: string };
  'unknown-observation': { readonly id: string };
  /** An answer that its question does not have; `known`: those that it has, null where it takes a number. */
  'answer-not-understood': {
    readonly id: string;
    readonly answer: string;
    readonly known: readonly string[] | null;
  };
  'terminal-shared': { readonly screw: string; readonly conductors: readonly string[] };
}

/** What the house is. */
export interface SystemParams {
  'line-voltage': None;
  'mains-controls': None;
  millivolt: None;
  'data-conductors': None;
  'voltage-class-unsettled':
    | { readonly what: 'under-one-volt' | 'between' | 'two-wires' | 'not-settled' | 'before-buying' }
    | {
        readonly what: 'still-possible';
        /** Probabilities, 0 to 1; only those that count. */
        readonly line: number | null;
        readonly millivolt: number | null;
        readonly data: number | null;
      };
  'system-unknown':
    | { readonly what: 'ask' | 'nothing-to-power' | 'no-wiring-after' | 'fits-none' }
    | {
        readonly what: 'still-possible';
        readonly families: readonly Family[];
      };
  'system-unsettled':
    | { readonly what: 'before-buying' }
    | {
        readonly what: 'solved-for';
        readonly families: readonly Family[];
      };
  'evidence-disagrees': {
    /** Sentences of the evidence. */
    readonly evidence: string;
    readonly against: string | null;
    /** Rare with this family; null where it is rare with any. */
    readonly family: Family | null;
  };
  'stated-against-evidence': {
    readonly stated: Family;
    readonly evident: Family;
    readonly probability: number;
  };
  'mark-ambiguous': OfConductor & {
    readonly mark: string;
    readonly readings: readonly { readonly means: string; readonly decidedBy: string }[];
  };
  /** A wire landed at both ends whose job nobody can say: marks as printed, the machine by its name. */
  'wire-not-explained': OfConductor & {
    readonly riddle: 'far-mark' | 'near-mark' | 'ends-differ' | 'no-job' | 'third-wire' | 'unread';
    readonly wall: string;
    readonly far: string;
    readonly machine: string;
  };
  /** A machine that is recognised and that no circuit is known for here. */
  'machine-not-modelled': { readonly machine: string; readonly kind: KindWithoutModel };
  'ends-not-matched': { readonly count: number };
  'common-not-traced': { readonly spot: string; readonly machine: string };
  'common-traces-disagree': { readonly spots: readonly string[]; readonly machine: string };
}

/** Making safe. */
export interface SafetyParams {
  'stop-answered': { readonly then: string; readonly call: string; readonly resolvedWhen: string };
  'stop-not-asked': { readonly open: number; readonly of: number };
  'supply-not-off': Named & { readonly why: string };
  'proves-nothing': { readonly what: 'old-batteries' } | (Named & { readonly what: 'display-dark' });
  /** `name` off alone is fed from `others`; volts at its low-voltage screws and at its mains side. */
  'off-is-not-dead': Named & {
    readonly others: readonly string[];
    readonly volts: number;
    readonly mainsVolts: number;
  };
  'supply-cannot-be-off': Named & { readonly feeds: readonly string[] };
  'off-in-future': Named;
  'off-long-ago': Named & { readonly hours: number };
  mercury: None;
}

/** Before buying. */
export interface SurveyParams {
  'signal-poor': { readonly medianDbm: number; readonly leastDbm: number };
  'signal-marginal': { readonly medianDbm: number; readonly worstDbm: number; readonly goodDbm: number };
  'signal-not-read': None;
  'no-internet': None;
  'pays-nothing': { readonly why: string | null };
  /** Setting back costs so many dollars a year. */
  'setback-costs': { readonly dollars: number };
  /** Hours until the house is warm again after a setback, as a rule and on a cold day. */
  'recovery-long': { readonly usualH: number; readonly coldH: number };
  /** `said`: the sheet names systems, and not these. */
  'works-not-with': {
    readonly model: string;
    readonly systems: readonly HomeSystem[];
    readonly said: boolean;
  };
  'pay-back-long': PayBack;
  'pays-back': PayBack;
  'drying-too-long': {
    readonly needsH: number;
    readonly staysH: number;
    readonly lowestC: number;
    readonly dries: boolean;
    /** Whose weather it is, and the first day that suits, `MM-DD`; null where none does. */
    readonly weather: string;
    readonly until: string | null;
  };
  'old-one-broken': None;
  'cooling-test-put-off': { readonly warmestC: number; readonly leastC: number; readonly day: string | null };
  'frail-people': { readonly lowestC: number };
  'pipes-can-freeze': None;
  'accessory-relay': {
    readonly what: 'no-terminal' | 'own-relay' | 'not-known';
    readonly accessory: string;
    readonly machine: string;
    readonly model: string;
  };
  /**
   * `model`: null where none is chosen. `together`: each alone would do, all on one transformer ask for too much; `device`: some way is open
   * for some thermostats.
   */
  'no-way-open': { readonly model: string | null; readonly why: 'together' | 'device' | 'closed' };
  'path-stapled': { readonly stretches: readonly string[] };
  'gauge-too-thin': { readonly lengthM: number; readonly mostDropV: number };
  'house-not-known': { readonly missing: readonly string[] };
  'house-facts-doubtful':
    | { readonly what: 'floor'; readonly areaM2: number; readonly fromM2: number; readonly toM2: number }
    | { readonly what: 'time-constant'; readonly hours: number; readonly from: number; readonly to: number }
    | { readonly what: 'too-weak'; readonly kw: number; readonly needKw: number }
    | { readonly what: 'too-strong'; readonly kw: number };
}

/** Dollars a year saved and years until it has paid; each a band. */
export interface PayBack {
  readonly dollars: { readonly low: number; readonly mid: number; readonly high: number };
  readonly outlay: number;
  /** All of the house. */
  readonly thermostats: number;
  readonly years: { readonly low: number; readonly mid: number; readonly high: number };
}

/** A thermostat against the house. */
export interface MatchParams {
  'needs-common': (OfModel & { readonly what: 'asleep' }) | { readonly what: 'none-landed' | 'better-with' };
  'supply-not-proven': OfModel & { readonly what: 'match' | 'method' };
  'missing-terminal':
    | (OfModel & OfConductor & { readonly what: 'mark'; readonly mark: string; readonly means: string })
    | (OfConductor & { readonly what: 'role' | 'role-in-some'; readonly role: string })
    | (OfModel & OfConductor & { readonly what: 'stays-off'; readonly mark: string });
  'too-few-stages': OfModel & { readonly stage: 'heat' | 'compressor' };
  'no-heat-pump': OfModel & { readonly sure: boolean };
  'link-must-suit-supplies':
    | (OfModel & { readonly what: 'joined-inside' })
    | { readonly what: 'must-be-out' | 'cut-for-good' }
    /** Nobody has seen where each of these hot wires comes from. */
    | (OfModel & {
        readonly what: 'may-be-joined' | 'may-have-to-be-out';
        readonly conductors: readonly string[];
      });
  'link-to-be-cut': None;
  'wrong-voltage-class': OfModel & { readonly voltageClass: 'line' | 'millivolt' };
  'device-has-no-common': (OfModel & { readonly what: 'none' }) | { readonly what: 'sheet' };
  'device-needs-no-common':
    { readonly what: 'batteries' | 'paired' } | (OfModel & { readonly what: 'nothing-at-wall' });
  'accessory-output': { readonly what: 'none' | 'none-known' | 'powered'; readonly accessory: string };
  'set-up':
    | { readonly what: 'one-supply-joined' | 'one-supply-clip' | 'fan-open' | 'fan-board' | 'fan-thermostat' }
    | { readonly what: 'system'; readonly systems: readonly string[] }
    | { readonly what: 'valve'; readonly valve: 'O' | 'B' | null };
}

/** The ways of supplying. */
export interface MethodParams {
  'no-common-found': { readonly what: 'cable' | 'wall' };
  'common-one-ended':
    | (OfConductor & { readonly what: 'carries-none' })
    | (OfConductor & { readonly what: 'land-far-end'; readonly mark: string });
  'end-not-read':
    | (OfConductor & { readonly what: 'on-c' | 'before-moved' })
    | (OfConductor & { readonly what: 'on-mark' | 'wall-unreadable'; readonly mark: string })
    | { readonly what: 'new-cable' | 'no-conductor' }
    | { readonly what: 'assumed' | 'open'; readonly conductors: readonly string[] };
  /** A second stage at the board that no wire uses; `wires`: how many a cable would need for it and for a common. */
  'stage-not-used': {
    readonly stage: 'heat' | 'cooling';
    readonly mark: string;
    readonly machine: string;
    readonly wires: number;
  };
  'no-spare': { readonly what: 'none-left' | 'none-free' | 'elsewhere' };
  'spare-one-ended': OfConductor;
  'continuity-not-proven': OfConductor;
  'continuity-broken': OfConductor;
  /** `read`: some screw of it is written down; before that nobody has looked. */
  'board-mark-missing': { readonly machine: string | null; readonly read: boolean };
  /** A screw of a machine that nobody can read; `mark`: as printed, empty where nothing is. */
  'screw-not-read': { readonly machine: string; readonly mark: string };
  'fan-conductor-missing': { readonly what: 'none' } | { readonly what: 'pair'; readonly mark: 'Y' | 'G' };
  'not-for-this-family': { readonly family: Family; readonly sure: boolean };
  'local-code': None;
  'no-outlet': None;
  'outlet-not-known': None;
  'rails-not-separable': OfModel & { readonly what: 'one-r' | 'joined-inside' };
  'cord-not-in-wall': { readonly hidden: boolean };
  'cable-stapled': { readonly cables: readonly string[] };
  'brittle-insulation': { readonly cables: readonly string[] };
  'cable-path-unknown': None;
  'hidden-splice': { readonly what: 'on-the-way' } | (OfConductor & { readonly what: 'colour-changes' });
  'device-needs-supply': OfModel;
  'keep-the-old': None;
  'call-licensed-person': { readonly what: 'leave' | 'mains-joint' };
  'terminal-moved':
    | (OfConductor & { readonly what: 'other-common' | 'nothing-behind' })
    | (OfConductor & {
        readonly what: 'by-function';
        readonly wall: string;
        readonly far: string;
        readonly to: string;
      });
  'second-supply-off': { readonly what: 'plug' | 'transformer' };
  'device-has-no-combined': OfModel;
  'device-has-no-receiver': OfModel;
  'adapter-mounting': None;
  'adapter-ends-agree': { readonly common: string; readonly shared: string };
  'adapter-not-for-this':
    | { readonly what: 'two-transformers' | 'two-heat-stages' | 'heat-pump' }
    | (OfModel & { readonly what: 'sheet'; readonly adapters: 'own' | 'none' })
    | (OfModel & { readonly what: 'sheet-silent' });
  'room-behind-plate': None;
  'more-joints': None;
  'radio-must-reach': None;
  'cable-too-few': { readonly conductors: number; readonly used: number };
  'old-adapter-in-line': Named;
  /** An adapter of the old thermostat with a terminal that nobody knows. */
  'adapter-not-read': Named;
  'common-behind-switch': { readonly machine: string };
  /** Something that is wrong today and is put right with the work. */
  repair:
    | (OfConductor & { readonly what: 'land-loose-end'; readonly mark: string; readonly machine: string })
    | (OfConductor & {
        readonly what: 'move-wrong-end';
        readonly wall: string;
        readonly from: string;
        readonly to: string;
      })
    | { readonly what: 'add-y-g-link' | 'remove-y-g-link' | 'restore-fan'; readonly machine: string }
    | { readonly what: 'part-supplies'; readonly a: string; readonly b: string; readonly end: EndSide }
    | (OfConductor & { readonly what: 'replace-broken'; readonly spare: string })
    | (Named & { readonly what: 'remove-old-supply' });
  /** To leave it as it is means to leave it being harmed. */
  'leaving-it-harms': { readonly mending: 'here' | 'after-the-question' | 'by-somebody-else' };
  'transformer-exchange': {
    readonly machine: string;
    /** VA; null where nobody has read it. */
    readonly va: number | null;
    readonly takenVa: number;
    readonly plannedVa: number;
  };
}

/** What the circuit shows. */
export interface ProofParams {
  'thermostat-unfed': { readonly calls: readonly Call[]; readonly volts: number | null };
  'thermostat-overfed': { readonly call: Call; readonly volts: number };
  'function-lost': { readonly call: Call; readonly loads: readonly LoadId[] };
  'dead-today': { readonly call: Call; readonly loads: readonly LoadId[] };
  /** Dead as it is, and dead afterwards. */
  'dead-before': { readonly call: Call; readonly loads: readonly LoadId[] };
  'made-to-work': { readonly call: Call; readonly loads: readonly LoadId[] };
  'load-runs-uncalled': { readonly call: Call; readonly loads: readonly LoadId[] };
  'compressor-without-blower': { readonly call: Call };
  'strips-without-blower': { readonly call: Call };
  'burner-without-blower': { readonly call: Call };
  /** `unseen`: nobody saw a fuse, so there may be none; `slow`: it may hold for minutes. */
  'fuse-opens': {
    readonly call: Call;
    readonly supply: string;
    readonly amps: number | null;
    readonly fuse: 'opens' | 'slow' | 'unseen';
  };
  'transformer-overloaded': Overload;
  'overloaded-together':
    | (Overload & { readonly thermostats: number })
    | {
        readonly call: Call;
        readonly supply: string;
        readonly amps: number | null;
        readonly fuse: 'opens' | 'slow' | 'unseen';
        readonly thermostats: number;
      };
  'supplies-tied': None;
  'relay-chatter': { readonly call: Call };
  /** `volts`: the least that any such coil gets; `pullIn`: what it needs. */
  'coil-starved': { readonly call: Call; readonly volts: number; readonly pullIn: number };
  /** What goes on in `call` because `after` came before it; `volts`: what holds its coil. */
  'held-on': {
    readonly after: Call;
    readonly call: Call;
    readonly loads: readonly LoadId[];
    readonly chatters: boolean;
    readonly volts: number;
  };
  'no-circuit': { readonly system: string };
  'circuit-not-solvable': { readonly why: string };
  'values-assumed': { readonly cable: boolean; readonly transformer: boolean };
  'limits-not-bounded': None;
  'volts-at-limits': {
    readonly side: 'low' | 'high';
    readonly volts: number;
    readonly calls: readonly Call[];
  };
  'load-at-limits': {
    readonly what: 'lost' | 'uncalled';
    readonly call: Call;
    readonly loads: readonly LoadId[];
  };
  'overloaded-at-limits': AtLimits & {
    /** Rating, VA, and whether a plate says so. */
    readonly ratedVa: number;
    readonly read: boolean;
    /** What it gives today, amps, where that is too much already. */
    readonly todayAmps: number | null;
  };
  'transformer-unread': AtLimits & { readonly leastVa: number };
  'device-may-complain': OfModel & { readonly mark: string };
}

export interface Overload {
  readonly call: Call;
  readonly supply: string;
  readonly amps: number;
  readonly ratedAmps: number;
  readonly ratedVa: number;
}

export interface AtLimits {
  readonly call: Call;
  readonly supply: string;
  readonly amps: number;
  readonly nominalVolts: number;
  /** How many thermostats call at once. */
  readonly thermostats: number;
}

export interface FindingParams
  extends RecordParams, SystemParams, SafetyParams, SurveyParams, MatchParams, MethodParams, ProofParams {}

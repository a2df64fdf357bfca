/**
 * The parts of the graph that a log of changes has to hold: strands, cables, links and small devices as they were put in or taken out. The
 * wiring graph takes its types from here, so that what is stored and what is solved cannot drift apart.
 */
import * as v from 'valibot';
import { ColourCode } from '../trade/colours';
import { ScrewRole } from '../trade/roles';
import { BoilerInput, ContactKind, MainsPart, Serves } from '../trade/mains';
import { DeviceFacts } from './device-facts';
import { ControllerFacts } from './controller-facts';
import { positive, printedMark, shortText } from './primitives';

const id = v.pipe(v.string('an id'), v.maxLength(160, 'an id of at most 160 characters'));

/** A screw in the graph. `means`: the canonical marks that it stands for here; empty where nobody knows. */
export const GraphScrew = v.strictObject({
  id,
  mark: printedMark,
  role: v.nullable(ScrewRole),
  means: v.pipe(v.array(shortText), v.maxLength(4, 'at most 4 meanings'), v.readonly())
});

export const Landing = v.variant('state', [
  v.strictObject({ state: v.literal('landed'), terminal: id }),
  v.strictObject({ state: v.picklist(['loose', 'coiled', 'unseen']) })
]);

const ohms = v.pipe(v.number(), v.finite(), v.minValue(0, 'at least 0'));

export const GraphStrand = v.strictObject({
  id,
  cable: id,
  name: shortText,
  /** Insulation at the near end, and at the far end where a splice may have changed it. */
  colour: v.nullable(ColourCode),
  colourBeyond: v.nullable(ColourCode),
  stripe: v.nullable(ColourCode),
  spliced: v.picklist(['no', 'seen', 'hidden']),
  continuity: v.picklist(['untested', 'proven', 'broken']),
  ohms,
  /** The end nearer to the control on the wall, and the one further on. */
  near: Landing,
  far: Landing
});

export const GraphCable = v.strictObject({
  id,
  name: shortText,
  path: v.picklist(['free', 'stapled', 'unknown']),
  insulation: v.optional(v.picklist(['sound', 'brittle', 'unknown']), 'unknown'),
  lengthM: v.nullable(positive(1000)),
  gauge: v.nullable(positive(50)),
  /** Ids of the places that it joins; null where nobody knows where it goes. */
  near: v.nullable(id),
  far: v.nullable(id)
});

export const GraphLink = v.strictObject({
  id,
  /** The place where it is. */
  at: id,
  a: id,
  b: id,
  kind: v.picklist(['wire', 'clip', 'inside'])
});

const base = {
  id,
  /** The place where it stands. */
  at: id,
  name: shortText,
  screws: v.pipe(v.array(GraphScrew), v.maxLength(60, 'at most 60 terminals'), v.readonly())
};

export const OLD_SUPPLIES = ['none', 'battery', 'common', 'unknown'] as const;

export const GraphOldThermostat = v.strictObject({
  kind: v.literal('old-thermostat'),
  ...base,
  supply: v.picklist(OLD_SUPPLIES)
});
/** `control`: the thermostat's place whose calls it makes. */
export const GraphNewThermostat = v.strictObject({
  kind: v.literal('new-thermostat'),
  ...base,
  control: id,
  facts: DeviceFacts
});
/** The wired half of a thermostat whose wall half is wireless. */
export const GraphReceiver = v.strictObject({
  kind: v.literal('receiver'),
  ...base,
  control: id,
  facts: DeviceFacts
});
/** A small 24 VAC supply in an outlet. */
export const GraphPlugIn = v.strictObject({
  kind: v.literal('plug-in-transformer'),
  ...base,
  va: positive(1000)
});
/** A second transformer fixed at a junction box near the equipment. */
export const GraphAdded = v.strictObject({
  kind: v.literal('added-transformer'),
  ...base,
  va: positive(1000)
});
/** The module that takes Y and G apart again at the equipment: R, C and K in, Y and G out. */
export const GraphAdapter = v.strictObject({ kind: v.literal('adapter'), ...base });
/** The wall half of a signal splitter: Y and G in, K out. */
export const GraphSplitter = v.strictObject({ kind: v.literal('splitter'), ...base });

/** A device of mains heating controls. What each of its screws does stands in `means`. */
export const GraphMains = v.strictObject({
  kind: v.literal('mains'),
  ...base,
  part: MainsPart,
  serves: Serves,
  contacts: ContactKind,
  heatingBringsWater: v.boolean(),
  input: BoilerInput,
  fuseAmps: v.nullable(positive(63)),
  /** Of a controller or its wall part. */
  facts: v.nullable(ControllerFacts)
});

/** What a move can put in or take out. A machine's board stays where it is. */
export const SmallDevice = v.variant('kind', [
  GraphOldThermostat,
  GraphNewThermostat,
  GraphReceiver,
  GraphPlugIn,
  GraphAdded,
  GraphAdapter,
  GraphSplitter,
  GraphMains
]);

export const PLACE_KINDS = ['wall', 'machine', 'outlet', 'wiring-centre', 'joint'] as const;
export const GraphPlace = v.strictObject({ id, kind: v.picklist(PLACE_KINDS), name: shortText });

/** One change of the wiring. Applied to the wiring that it fits, it gives the next one; it can be turned round. */
export const GraphChange = v.variant('kind', [
  v.strictObject({
    kind: v.literal('end'),
    strand: id,
    side: v.picklist(['near', 'far']),
    from: Landing,
    to: Landing
  }),
  v.strictObject({ kind: v.literal('link-on'), link: GraphLink }),
  v.strictObject({ kind: v.literal('link-off'), link: GraphLink }),
  v.strictObject({
    kind: v.literal('device-on'),
    device: SmallDevice,
    place: GraphPlace,
    /** Links between its own screws: they come and go with it. */
    brings: v.exactOptional(v.pipe(v.array(GraphLink), v.maxLength(20, 'at most 20 links'), v.readonly()))
  }),
  v.strictObject({
    kind: v.literal('device-off'),
    device: SmallDevice,
    place: GraphPlace,
    /** Links between its own screws: they come and go with it. */
    brings: v.exactOptional(v.pipe(v.array(GraphLink), v.maxLength(20, 'at most 20 links'), v.readonly()))
  }),
  v.strictObject({
    /** The transformer of a machine is exchanged: its size before and after, VA; null where nobody has read it. */
    kind: v.literal('transformer'),
    device: id,
    from: v.nullable(positive(1000)),
    to: v.nullable(positive(1000))
  }),
  v.strictObject({
    kind: v.literal('cable-in'),
    cable: GraphCable,
    strands: v.pipe(v.array(GraphStrand), v.maxLength(200), v.readonly())
  }),
  v.strictObject({
    kind: v.literal('cable-out'),
    cable: GraphCable,
    strands: v.pipe(v.array(GraphStrand), v.maxLength(200), v.readonly())
  })
]);

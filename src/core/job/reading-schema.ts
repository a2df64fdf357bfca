/** What is recorded with the reading of both ends: photos and their pins, ends not matched yet, what shares a screw, the way to common. */
import * as v from 'valibot';
import { ColourCode } from '../trade/colours';
import { OTHER_KINDS } from '../trade/machine-kinds';
import { EndState } from '../trade/vocabulary';
import {
  CableId,
  ConductorId,
  EquipmentId,
  FoundEndId,
  PhotoId,
  PlaceId,
  ScrewId,
  ThermostatId
} from './ids';
import { listOf } from './limits';
import { shortText, text, timeText, wholeNumber } from './primitives';

const share = v.pipe(
  v.number('a number'),
  v.minValue(0, 'a share from 0 to 1'),
  v.maxValue(1, 'a share from 0 to 1')
);

/** A spot on a photo, as shares of its width and height, tied to a conductor or to a terminal. */
export const Pin = v.strictObject({
  x: share,
  y: share,
  to: v.union(
    [
      v.strictObject({ kind: v.literal('conductor'), conductor: ConductorId }),
      v.strictObject({
        kind: v.literal('terminal'),
        at: v.union([ThermostatId, EquipmentId, PlaceId], 'the id of a thermostat, a machine or a place'),
        screw: ScrewId
      })
    ],
    'a conductor or a terminal'
  )
});
export type Pin = v.InferOutput<typeof Pin>;

/** Facts of a photo. The picture itself lies beside the job, under the photo's id. */
export const Photo = v.strictObject({
  id: PhotoId,
  of: v.picklist(['wall', 'equipment', 'plate', 'path', 'other'], 'wall, equipment, plate, path or other'),
  /** The machine that it shows. */
  equipment: v.nullable(EquipmentId),
  caption: shortText,
  takenAt: timeText,
  widthPx: wholeNumber(1, 20000),
  heightPx: wholeNumber(1, 20000),
  pins: listOf(Pin, 'pins')
});
export type Photo = v.InferOutput<typeof Photo>;

/** An end found at the equipment that nobody has yet matched with a conductor at the wall. */
export const FoundEnd = v.strictObject({
  id: FoundEndId,
  cable: CableId,
  colour: v.nullable(ColourCode),
  stripe: v.nullable(ColourCode),
  state: EndState,
  on: v.nullable(v.strictObject({ at: v.union([ThermostatId, EquipmentId, PlaceId]), screw: ScrewId })),
  /** Conductors that it is not, as the user said. */
  not: v.pipe(v.array(ConductorId), v.maxLength(200))
});
export type FoundEnd = v.InferOutput<typeof FoundEnd>;

/** A conductor under a screw of a machine that does not belong to the thermostat cable: it is left alone. */
export const OtherLanding = v.strictObject({
  screw: ScrewId,
  what: shortText,
  /** What it is, as far as somebody knows: a relay and a lamp draw current, a float switch opens the wire. */
  kind: v.optional(v.picklist(OTHER_KINDS, `one of ${OTHER_KINDS.join(', ')}`), 'unknown')
});
export type OtherLanding = v.InferOutput<typeof OtherLanding>;

export const TRACE_WAYS = ['followed', 'diagram', 'meter-to-r', 'meter-to-earth'] as const;

/** One finding on the way to a common that no mark names: how it was found, and where it led. */
export const TraceFinding = v.strictObject({
  way: v.picklist(TRACE_WAYS, `one of ${TRACE_WAYS.join(', ')}`),
  /** The mark, or a short word for the spot, that it showed to be common. */
  spot: v.pipe(v.string('a mark or spot'), v.trim(), v.minLength(1, 'a mark or spot'), v.maxLength(40)),
  at: timeText,
  note: text
});
export type TraceFinding = v.InferOutput<typeof TraceFinding>;

/** Answers to a stop question, with its time and, after a "yes", the time at which it was resolved and how. */
export const StopAnswer = v.strictObject({
  answer: v.picklist(['yes', 'no'], 'yes or no'),
  at: timeText,
  resolved: v.nullable(v.strictObject({ at: timeText, how: shortText }))
});
export type StopAnswer = v.InferOutput<typeof StopAnswer>;

export const OFF_PROOFS = ['ran-and-stopped', 'meter', 'both', 'display-dark', 'none'] as const;

/** A supply that was cut: where, and how that was proven. */
export const SupplyOff = v.strictObject({
  cut: v.picklist(
    ['breaker', 'service-switch', 'both', 'plug', 'disconnect', 'cannot'],
    'breaker, service-switch, both, plug, disconnect or cannot'
  ),
  proof: v.picklist(OFF_PROOFS, `one of ${OFF_PROOFS.join(', ')}`),
  at: timeText
});
export type SupplyOff = v.InferOutput<typeof SupplyOff>;

/** Machines that are met and that no circuit is known for here: they are recognised, and say what somebody would have to find out. */
export const WITHOUT_MODEL = {
  'three-wire-valve':
    'a changeover relay, or a valve of today’s kind that opens on one wire and closes by a spring',
  'hydro-air': 'the diagram of the relay that starts pump and blower on a heat call',
  'fan-coil': 'the diagram of what its fan wire works, and what keeps the fan off while the pipes are cold',
  'oil-with-fan-centre':
    'the diagrams of the burner control (T1, T2) and of the fan centre: each has a transformer of its own',
  'electric-heat-relay':
    'the diagram of the 24 V relay, and what gives air to the strips if they sit in a duct'
} as const satisfies Readonly<Record<string, string>>;

export type KindWithoutModel = keyof typeof WITHOUT_MODEL;

export function isWithoutModel(kind: string): kind is KindWithoutModel {
  return kind in WITHOUT_MODEL;
}

/** What may hang under a screw beside the thermostat's wire; all but the last two are part of the circuit. */
export const OTHER_KINDS = ['relay', 'lamp', 'float-switch', 'outdoor-unit', 'unknown'] as const;
export type OtherKind = (typeof OTHER_KINDS)[number];
export const OTHER_KIND_NAMES: Readonly<Record<OtherKind, string>> = {
  relay: 'a relay of something else',
  lamp: 'a lamp',
  'float-switch': 'a float switch in this wire',
  'outdoor-unit': 'the outdoor unit’s wire',
  unknown: 'not known'
};

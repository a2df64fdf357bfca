/** The questions that stop everything, in the order of danger, each with what to do and whom to call. */
export interface StopQuestion {
  readonly id: string;
  readonly ask: string;
  /** What to do at once when the answer is yes. */
  readonly then: string;
  readonly call: string;
  /** What has to be true before it counts as resolved. */
  readonly resolvedWhen: string;
}

export const STOP_QUESTIONS: readonly StopQuestion[] = [
  {
    id: 'gas-smell',
    ask: 'Do you smell gas, or rotten eggs, anywhere?',
    then: 'Switch nothing, light nothing. Everybody out, doors open as you go; call from outside.',
    call: 'the gas emergency line, then a licensed gas fitter',
    resolvedWhen: 'the gas supplier or fire service has cleared the house'
  },
  {
    id: 'carbon-monoxide',
    ask: 'Is a carbon monoxide alarm sounding, or do people in the house have headache or feel sick?',
    then: 'Everybody into fresh air at once. Call from outside, and do not go back in.',
    call: 'the emergency number, then a licensed heating technician',
    resolvedWhen: 'the fire service has measured and cleared the house, and the cause was mended'
  },
  {
    id: 'heat-or-arcing',
    ask: 'Are there scorch marks, melted insulation, a burnt smell or crackling, at the wall or at a machine?',
    then: 'Switch it off at the breaker if you can reach it without touching the place. Open nothing.',
    call: 'a licensed electrician',
    resolvedWhen: 'an electrician has found and mended the cause'
  },
  {
    id: 'mains-at-wall',
    ask: 'Are there thick wires, wire nuts in a deep box, or marks such as L1, LINE, LOAD, 120 or 240 behind the thermostat?',
    then: 'Put the cover back on and leave the wires alone: shock and fire.',
    call: 'a licensed electrician',
    resolvedWhen: 'a licensed person has said that the wires are low voltage, or has dealt with them'
  },
  {
    id: 'old-mains',
    ask: 'Would the work touch or move aluminium or cloth-covered mains wiring, or any mains joint?',
    then: 'Leave it closed: old insulation crumbles when it is moved.',
    call: 'a licensed electrician',
    resolvedWhen: 'an electrician has dealt with it, or the plan no longer touches it'
  },
  {
    id: 'water-or-wet',
    ask: 'Is there water on the floor at the machine, or is the board or its wiring wet?',
    then: 'Do not step in it. Breaker off from a dry place.',
    call: 'a licensed heating technician',
    resolvedWhen: 'it is dry and the leak was mended'
  },
  {
    id: 'bypassed-limit',
    ask: 'Is a safety control bypassed (a wire round a limit switch, low-water cut-off or door switch), or would the work need that?',
    then: 'Nothing is wired round a safety control, and nothing is run while one is bypassed.',
    call: 'a licensed heating technician',
    resolvedWhen: 'the control is back in its circuit and was seen to work'
  },
  {
    id: 'data-conductors',
    ask: 'Do the terminals carry numbers or letters like 1 2 3 4, A B or + − with four wires, or does the old thermostat show fault texts of the machine?',
    then: 'Move nothing: these wires may carry data, and 24 V on them burns a board.',
    call: 'a technician of the machine’s maker',
    resolvedWhen: 'the machine’s sheet says that it takes an ordinary 24 V thermostat on these terminals'
  }
];

export function findStop(id: string): StopQuestion | undefined {
  return STOP_QUESTIONS.find((question) => question.id === id);
}

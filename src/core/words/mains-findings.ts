/** What is said about mains heating controls, as sentences: one for each code. */
import type { MainsFinding, MainsParams } from '../findings/mains';
import { LAYOUT_NAMES, MAINS_FUNCTION_NAMES, MAINS_PART_NAMES } from '../trade/mains';
import { and, capital, counted } from './text';

const HARMS: Readonly<Record<string, string>> = {
  'boiler-without-way': 'The boiler runs with no way open: it boils against closed valves.',
  'runs-with-all-off': 'Boiler or pump run although nothing asks for them.',
  'boiler-without-pump': 'The boiler runs and no pump moves the water.',
  'neutral-switched':
    'Its neutral does not reach the spur’s neutral by copper alone: it is missing, or goes through a switch.',
  'earth-not-joined': 'Its earth does not reach the spur’s earth.',
  'live-on-earth': 'Mains reaches an earth screw or a green-yellow wire.',
  'mains-on-low-voltage':
    'Mains reaches terminals that are made for a contact free of voltage or for low voltage: that burns the board behind them.',
  'live-on-dead-cable': 'Mains reaches a cable that is meant to be dead.',
  'supplies-tied': 'Two supplies are joined.',
  'fuse-opens': 'The fuse of the spur opens.',
  'not-fed': 'It gets no voltage to work on, or a wrong one.'
};

type Sentences = { readonly [C in keyof MainsParams]: (params: MainsParams[C]) => string };

const names = (words: readonly string[]) => and(words);

const SENTENCES: Sentences = {
  'mains-nothing-recorded': ({ missing }) =>
    missing.length === 0
      ? 'No wire is recorded yet: write down which wire is on which terminal.'
      : `Nothing can be said before these are recorded: ${names(missing.map((part) => MAINS_PART_NAMES[part]))}.`,
  'mains-layout-open': ({ layouts }) =>
    `Which layout it is, is not settled: ${names(layouts.map((layout) => LAYOUT_NAMES[layout]))} ${layouts.length === 1 ? 'is likely, and not sure enough' : 'are still possible'}.`,
  'mains-layout-disagrees': ({ stated, layout }) =>
    `This does not go with ${LAYOUT_NAMES[layout]}: ${stated} Look again before anything is moved.`,
  'mains-end-unread': ({ wire, cable }) =>
    `The ${wire} wire of ${cable}: one end has not been read. What it joins is not known.`,
  'mains-screw-unread': ({ device, screw }) =>
    `${device}: nobody has said what screw ${screw} does, and a wire is on it. Read the device’s own diagram.`,
  'mains-wire-loose': ({ wire, cable }) =>
    `The ${wire} wire of ${cable} is on a screw at one end and bare at the other. It may be live.`,
  'mains-point-alone': ({ wire, screw }) =>
    `The ${wire} wire of ${screw} leads to a place where nothing else is: parked, or its partner has come off.`,
  'mains-point-unexplained': ({ screws }) =>
    `These are joined, and nobody can say what for: ${names(screws)}. What is it for? A diagram, a trace, or the maker’s sheet tells. Until then it stays as it is.`,
  'mains-colour-misleads': ({ wire, colour, does }) =>
    `The ${wire} wire is ${colour} and works as ${MAINS_FUNCTION_NAMES[does]}: a switched live has to be sleeved brown; green-yellow is earth and nothing else. In older cables red is live, black neutral, plain green earth.`,
  'mains-spur-missing': () => 'The supply is not recorded: find the fused spur that feeds all of this.',
  'mains-boiler-input-unread': ({ device }) =>
    `What the ${device} wants at its thermostat input is not known: a switched live, or a contact free of voltage. Its manual says; 230 V on the wrong one burns its board.`,
  'mains-harm': ({ harm, at, row, today }) =>
    `${today ? 'As it is today: ' : ''}${at.length > 0 ? `${names(at)}: ` : ''}${HARMS[harm] ?? harm}${row === null ? '' : ` (${row})`}`,
  'mains-row-amiss': ({ rows, count, today }) =>
    `${today ? 'As it is today, it' : 'It'} does not do what it should in ${counted(count, 'case', 'cases')}: ${rows.join('; ')}.`,
  'mains-row-changes': ({ rows, count }) =>
    `It will do something else than today in ${counted(count, 'case', 'cases')}: ${rows.join('; ')}.`,
  'mains-channels': ({ needed, channels }) =>
    `This house needs ${counted(needed, 'channel', 'channels')}; the controller has ${channels}.`,
  'mains-never-both': () => 'One channel drives one circuit: never heating and hot water together.',
  'mains-water-off-missing': () =>
    'A mid-position valve has to be told when hot water is off; this controller has no such terminal, so heating alone would not start the boiler.',
  'mains-water-off-needed': () => 'Hot water off is used: it drives the grey wire of the mid-position valve.',
  'mains-gravity-constant': () =>
    'A controller for heating alone would run the pump with the boiler off: with hot water by gravity the timer has to go as well.',
  'mains-gravity-mode-missing': () =>
    'With hot water by gravity, heating has to bring hot water with it. This controller has no setting for that.',
  'mains-volt-free-needed': ({ contact }) =>
    `The boiler wants a contact free of voltage; this contact is ${contact === 'linked' ? 'fed from live inside' : 'of an unknown kind'} and would put 230 V on it.`,
  'mains-link-needed': ({ channels }) =>
    `Its contacts are volt-free: live has to be linked to ${channels === 1 ? 'its common' : 'each common'}.`,
  'mains-link-inside': ({ channel }) =>
    `Its ${channel === 'heating' ? 'heating' : 'hot-water'} contact is fed from live inside: it must not get a link.`,
  'mains-contacts-mixed': () =>
    'One of its contacts is volt-free, the other fed inside: link the one, and only the one.',
  'mains-earth-parked': () => 'It needs no earth itself: the earths stay joined in its parking terminal.',
  'mains-earth-nowhere': () =>
    'It has no terminal to park an earth: the earths need a connector of their own inside the box.',
  'mains-grey-driven': ({ number }) =>
    `The wire from hot water off leads nowhere today: it is landed on ${number}, where the grey wire of the valve is. Without it heating alone does not start the boiler.`,
  'mains-wall-part-cable': () =>
    'Its wall part is fed by low voltage through the old thermostat’s cable, only after that cable is off the mains at both ends.',
  'mains-amps': ({ most, drawn }) =>
    `Its contacts carry ${most} A; boiler, pump and valves draw ${drawn.toFixed(1)} A.`,
  'mains-order-differs': ({ moved }) =>
    `The same number does another thing on this plate: ${moved.join('; ')}. Move by what a wire does, never by its number.`,
  'mains-no-timer': () => 'No timer is recorded: there is nothing to take its place.',
  'mains-no-room-thermostat': () => 'There was no room thermostat: there is nothing to link in its place.',
  'mains-several-rooms': ({ rooms }) =>
    `${rooms} room thermostats hang on this heating channel, and one channel stands in for one of them: the others would never call alone. Keep them and replace the timer only, or give one zone a one-channel controller of its own.`,
  'mains-rooms-many': ({ rooms, most }) =>
    `${rooms} room thermostats: every state of the first ${most} is solved, the others are taken as calling all the time.`,
  'mains-room-open': ({ device }) =>
    `The two terminals that the ${device} stood between have to be linked, or heating never runs again.`,
  'mains-no-meeting': ({ device }) =>
    `The two sides of the ${device} and the supply do not end at one place, so nothing short can join them. Somebody competent has to see where the cables run before a way is planned.`,
  'mains-terminal-shared': ({ device, screws }) =>
    `${capital(device)}: another wire comes onto ${names(screws)}, where one is already. If its sheet allows one wire only, join them in a connector beside it. Take off no more than the cover of its terminals: the case of a gas boiler is for somebody licensed for gas.`,
  'mains-timer-heating-unused': () =>
    'The controller has a schedule of its own for its rooms: what the timer says of heating no longer counts for them.',
  'mains-timer-in-line': () =>
    'The timer’s contact stays in the line to the boiler’s input: two schedules one behind the other. Replace the timer as well.',
  'mains-cable-dead': ({ cable }) =>
    `The old cable (${cable}) is cut off at both ends: dead, ends capped, labelled.`,
  'mains-cable-reused': ({ cable }) =>
    `The old cable (${cable}) carries low voltage to the wall part from now on: off the mains at both ends first, proven dead, labelled at both ends.`,
  'mains-joint-kept': ({ screw }) =>
    `${screw} only joins wires: that joint goes to a connector and stays a joint.`,
  'mains-competent-only': () =>
    '230 V work, for somebody competent; in some places only for somebody licensed. Say who does it, or have it done: the plan is what to ask for.',
  'mains-two-supplies-off': ({ supplies }) =>
    `Every one of these has to be off and proven dead: ${names(supplies)}.`,
  'mains-local-code': () =>
    'Local rules and the makers’ sheets go before this plan; some places want a licence, a notice or a certificate for it.',
  'mains-device-goes': ({ device }) =>
    `The ${device} comes out. Its screws are noted in the record, so that it can be put back.`,
  'mains-layout-needed': () => 'What has to come out of it is not known before the layout is.',
  'mains-not-proven': ({ why }) => `This could not be solved: ${why}.`
};

export function mainsText(finding: MainsFinding): string {
  const write = SENTENCES[finding.code] as (params: unknown) => string;
  return write(finding.params);
}

/** Every code that is said. */
export const MAINS_CODES = Object.keys(SENTENCES) as (keyof MainsParams)[];

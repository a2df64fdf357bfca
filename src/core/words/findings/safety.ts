import type { SafetyParams } from '../../findings/params';
import { plural } from '../text';
import type { Sentences } from './sentences';

export const SAFETY: Sentences<SafetyParams> = {
  'stop-answered': ({ then, call, resolvedWhen }) =>
    `${then} Call ${call}. It is resolved when ${resolvedWhen}.`,
  'stop-not-asked': ({ open, of }) =>
    open === of
      ? 'The stop questions are not answered yet: they come before everything.'
      : `${open} of the stop questions ${plural(open, 'is', 'are')} not answered yet.`,
  'supply-not-off': ({ name, why }) => `${name}: not off and proven off yet (${why}).`,
  'proves-nothing': (fact) =>
    fact.what === 'old-batteries'
      ? 'The old thermostat has batteries: its display stays lit with every supply off.'
      : `${fact.name}: a dark display proves nothing, and a lit one neither: it may run on batteries or on another supply. The machine was running and stops, or a meter between R and C reads nothing: that is proof.`,
  'off-is-not-dead': ({ name, others, volts, mainsVolts }) =>
    `${name} switched off alone is not dead: a jumper or a wire ties it to ${others.join(' and ')}. Its low-voltage screws stay live (${volts.toFixed(0)} V), and its transformer works backwards: about ${mainsVolts.toFixed(0)} V on its mains side. Switch ${others.length > 1 ? 'all of them' : 'both'} off before either is opened.`,
  'supply-cannot-be-off': ({ name, feeds }) =>
    feeds.length > 0
      ? `${name} cannot be switched off, and ${feeds.join(' and ')} is tied to it: nothing there is dead. Stop, and have an electrician cut it first.`
      : `${name} cannot be switched off. Stop: nothing is opened on it before an electrician has cut it.`,
  'off-in-future': ({ name }) =>
    `${name}: its proof is dated later than now. A clock was set back, or the file comes from elsewhere: prove it anew.`,
  'off-long-ago': ({ name, hours }) =>
    `${name}: proven off ${Math.round(hours)} hours ago. Somebody may have switched it on again: prove it anew.`,
  mercury: () =>
    'A glass bulb with mercury is in the old thermostat: keep it level and whole, in a closed box, and take it to the collection point for mercury. If it breaks: windows open, people out of the room, no vacuum cleaner, ask the local authority.'
};

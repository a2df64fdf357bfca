<script lang="ts">
  /** One wire: its colour, a sleeve, both ends, whether it was measured; and the way to take it out of the record. */
  import { onScrew, removeWire, setWire, UNSEEN_END } from '$core/job/mains-edits';
  import type { MainsControls, MainsEnd, MainsWire } from '$core/job/mains-schema';
  import { COLOUR_CODES, COLOURS, type ColourCode } from '$core/trade/colours';
  import { MAINS_FUNCTION_NAMES } from '$core/trade/mains';
  import ChoiceField from '../fields/choice-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import Dialog from '../frame/dialog.svelte';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  interface Props {
    mains: MainsControls;
    wire: MainsWire | null;
    onclose: () => void;
  }

  let { mains, wire: opened, onclose }: Props = $props();
  const place = getPlace();
  const wire = $derived(mains.wires.find(({ id }) => id === opened?.id) ?? null);
  const cable = $derived(mains.cables.find(({ id }) => id === wire?.cable));
  const none = [['', 'none']] as const;
  const colours = $derived(COLOUR_CODES.map((code) => [code, say(COLOURS[code].name)] as const));

  const ENDS = [
    ['unseen', 'not read yet'],
    ['loose', 'bare, on nothing'],
    ['coiled', 'capped, on nothing']
  ] as const;

  const endName = (end: 'near' | 'far') => {
    const device = mains.devices.find(({ id }) => id === cable?.[end]);
    return device ? `At the ${device.name}` : 'At its other end';
  };

  /** All screws of the device that this end's cable leads to, then what else an end may be. */
  function choicesFor(end: 'near' | 'far'): (readonly [string, string])[] {
    const device = mains.devices.find(({ id }) => id === cable?.[end]);
    const screws = (device?.screws ?? []).map(
      (screw) =>
        [
          `${device?.id} ${screw.id}`,
          `${device?.name} ${screw.mark}${screw.does === 'joint' ? '' : ` · ${say(MAINS_FUNCTION_NAMES[screw.does])}`}`
        ] as const
    );
    return [...screws, ...ENDS];
  }

  const valueOf = ({ state, on }: MainsEnd) => (on === null ? state : `${on.device} ${on.screw}`);

  function endFrom(value: string): MainsEnd {
    const [device, screw] = value.split(' ');
    const unit = mains.devices.find(({ id }) => id === device);
    const own = unit?.screws.find(({ id }) => id === screw);
    if (unit && own) return onScrew(unit.id, own.id);
    return value === 'loose' || value === 'coiled' ? { state: value, on: null } : UNSEEN_END;
  }

  function set(change: Parameters<typeof setWire>[3]): void {
    if (wire) place.session.edit(setWire(place.job, place.thermostat.id, wire.id, change));
  }

  function remove(): void {
    if (wire) place.session.edit(removeWire(place.job, place.thermostat.id, wire.id));
    onclose();
  }
</script>

<Dialog open={wire !== null} title="Wire of the {cable?.name ?? ''}" {onclose}>
  {#if wire}
    <div class="grid gap-3 sm:grid-cols-2">
      <ChoiceField
        label={say('Colour')}
        value={wire.colour ?? ''}
        choices={[['', 'not recorded'], ...colours]}
        onset={(value) => set({ colour: (value || null) as ColourCode | null })}
      />
      <ChoiceField
        label="Stripe"
        value={wire.stripe ?? ''}
        choices={[...none, ...colours]}
        onset={(value) => set({ stripe: (value || null) as ColourCode | null })}
      />
      <ChoiceField
        label="Sleeve over it"
        value={wire.sleeve ?? ''}
        choices={[...none, ...colours]}
        onset={(value) => set({ sleeve: (value || null) as ColourCode | null })}
      />
      <ChoiceField
        label="Measured from end to end, power off"
        value={wire.continuity}
        choices={[
          ['untested', 'not measured'],
          ['proven', 'it is one wire'],
          ['broken', 'it is broken']
        ]}
        onset={(continuity) => set({ continuity })}
      />
      <ChoiceField
        label={say(endName('near'))}
        value={valueOf(wire.near)}
        choices={choicesFor('near')}
        onset={(value) => set({ near: endFrom(value) })}
      />
      <ChoiceField
        label={say(endName('far'))}
        value={valueOf(wire.far)}
        choices={choicesFor('far')}
        onset={(value) => set({ far: endFrom(value) })}
      />
      <TextField label="Your own label" value={wire.label} onset={(label) => set({ label })} />
    </div>
    <button type="button" class="btn btn-outline mt-4" onclick={remove}>Take it out of the record</button>
  {/if}
</Dialog>

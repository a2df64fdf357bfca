<script lang="ts">
  /** What else is known of a conductor: its own label, a stripe, joints on the way, whether it was measured through. */
  import { removeConductor, setConductorField, setSplices } from '$core/job/edits';
  import { conductorName } from '$core/job/names';
  import { nextId, type ConductorId } from '$core/job/ids';
  import { COLOUR_CODES, COLOURS, type ColourCode } from '$core/trade/colours';
  import NumberField from '../fields/number-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import Dialog from '../frame/dialog.svelte';
  import { getPlace } from '../state/context';

  interface Props {
    id: ConductorId | null;
    onclose: () => void;
  }

  let { id: conductorId, onclose }: Props = $props();
  const place = getPlace();
  const conductor = $derived(place.thermostat.conductors.find((one) => one.id === conductorId));

  function set<K extends 'label' | 'stripe' | 'continuity' | 'position'>(field: K, value: never): void {
    if (conductor)
      place.session.edit(setConductorField(place.job, place.thermostat.id, conductor.id, field, value));
  }

  function addSplice(): void {
    if (!conductor) return;
    const id = nextId(
      'splice',
      conductor.splices.map((one) => one.id)
    );
    const splices = [...conductor.splices, { id, colourBeyond: conductor.colour, seen: true, place: '' }];
    place.session.edit(setSplices(place.job, place.thermostat.id, conductor.id, splices));
  }

  function changeSplice(
    at: number,
    change: { colourBeyond?: ColourCode | null; seen?: boolean; place?: string } | null
  ): void {
    if (!conductor) return;
    const splices = conductor.splices.flatMap((one, position) =>
      position !== at ? [one] : change === null ? [] : [{ ...one, ...change }]
    );
    place.session.edit(setSplices(place.job, place.thermostat.id, conductor.id, splices));
  }

  function remove(): void {
    if (conductor) place.session.edit(removeConductor(place.job, place.thermostat.id, conductor.id));
    onclose();
  }
</script>

<Dialog
  open={conductor !== undefined}
  title={conductor ? `The ${conductorName(conductor)} conductor` : ''}
  {onclose}
>
  {#if conductor}
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField
        label="Own label (tape, number)"
        value={conductor.label}
        onset={(label) => set('label', label as never)}
      />
      <label class="flex flex-col gap-1 text-sm"
        >Stripe
        <select
          class="select w-full"
          value={conductor.stripe ?? ''}
          onchange={(event) => set('stripe', (event.currentTarget.value || null) as never)}
        >
          <option value="">no stripe</option>
          {#each COLOUR_CODES as code (code)}<option value={code}>{code} {COLOURS[code].name}</option>{/each}
        </select>
      </label>
      <NumberField
        label="Position in the sheath (tells two of one colour apart)"
        value={conductor.position}
        least={1}
        most={200}
        whole
        onset={(position) => set('position', position as never)}
      />
      <label class="flex flex-col gap-1 text-sm"
        >Measured from end to end, power off
        <select
          class="select w-full"
          value={conductor.continuity}
          onchange={(event) => set('continuity', event.currentTarget.value as never)}
        >
          <option value="untested">not measured</option>
          <option value="proven">proven: one and the same at both ends</option>
          <option value="broken">open: broken on the way</option>
        </select>
      </label>
    </div>
    <h3 class="mt-4 mb-1 font-semibold">Joints on the way</h3>
    {#each conductor.splices as splice, at (splice.id)}
      <div class="mb-2 grid grid-cols-2 gap-2 rounded border border-base-300 p-2">
        <label class="flex flex-col gap-1 text-sm"
          >Colour beyond it
          <select
            class="select select-sm w-full"
            value={splice.colourBeyond ?? ''}
            onchange={(event) =>
              changeSplice(at, { colourBeyond: (event.currentTarget.value || null) as ColourCode | null })}
          >
            <option value="">not seen</option>
            {#each COLOUR_CODES as code (code)}<option value={code}>{code} {COLOURS[code].name}</option
              >{/each}
          </select>
        </label>
        <TextField
          label="Where"
          small
          value={splice.place}
          onset={(where) => changeSplice(at, { place: where })}
        />
        <label class="flex items-center gap-2 text-sm"
          ><input
            type="checkbox"
            class="checkbox checkbox-sm"
            checked={splice.seen}
            onchange={(event) => changeSplice(at, { seen: event.currentTarget.checked })}
          /> Seen with own eyes</label
        >
        <button
          type="button"
          class="btn btn-ghost btn-sm justify-self-end"
          onclick={() => changeSplice(at, null)}>Remove joint</button
        >
      </div>
    {/each}
    <button type="button" class="btn btn-outline btn-sm" onclick={addSplice}>Add a joint</button>
    <div class="mt-5 flex justify-between">
      <button type="button" class="btn btn-ghost" onclick={remove}>Remove this wire</button>
      <button type="button" class="btn btn-primary" onclick={onclose}>Done</button>
    </div>
  {/if}
</Dialog>

<script lang="ts">
  /** One number of the wiring centre, or one terminal of the boiler: what is under it, and what else is found there. */
  import { addMainsLink, addWire, onScrew, removeMainsLink, UNSEEN_END } from '$core/job/mains-edits';
  import type { MainsControls, MainsDevice } from '$core/job/mains-schema';
  import { COLOUR_CODES, COLOURS, type ColourCode } from '$core/trade/colours';
  import { MAINS_FUNCTION_NAMES } from '$core/trade/mains';
  import { HUB_SPOTS, hubOf } from '$core/trade/mains-hub';
  import { capital } from '$core/words/text';
  import Dialog from '../frame/dialog.svelte';
  import ColourChip from '../sheet/colour-chip.svelte';
  import { getPlace } from '../state/context';
  import { typedHere } from '../state/typed.svelte';
  import { stripRows, type NumberRow } from './wires-on';
  import { say } from '../words/manner.svelte';

  interface Props {
    mains: MainsControls;
    row: NumberRow | null;
    onclose: () => void;
  }

  let { mains, row: opened, onclose }: Props = $props();
  const place = getPlace();
  /** As it is after the last edit. */
  const row = $derived(
    opened === null
      ? null
      : (stripRows(mains).find(
          ({ strip, screw }) => strip.id === opened.strip.id && screw.id === opened.screw.id
        ) ?? null)
  );
  const devices = $derived(
    mains.devices.filter(({ id, part }) => part !== 'wiring-centre' && id !== opened?.strip.id)
  );
  const EMPTY = { device: '', screw: '', colour: '' as ColourCode | '', earth: false, link: '' };
  const typed = typedHere('number', EMPTY, { part: () => opened?.screw.id ?? '' });
  const chosen: MainsDevice | undefined = $derived(devices.find(({ id }) => id === typed.device));

  /** The colours that such wires have, the rest behind them. */
  const COMMON: readonly ColourCode[] = ['BN', 'BU', 'BK', 'GY', 'RD', 'YE', 'OG', 'WH', 'GN'];
  const colours = [...COMMON, ...COLOUR_CODES.filter((code) => !COMMON.includes(code))];

  function add(event: SubmitEvent): void {
    event.preventDefault();
    if (!row || !chosen) return;
    const own = chosen.screws.find(({ id }) => id === typed.screw);
    place.session.edit(
      addWire(place.job, place.thermostat.id, {
        device: chosen.id,
        near: own ? onScrew(chosen.id, own.id) : UNSEEN_END,
        far: onScrew(row.strip.id, row.screw.id),
        colour: typed.earth ? 'GN' : typed.colour || null,
        stripe: typed.earth ? 'YE' : null
      })
    );
    Object.assign(typed, { screw: '', colour: '', earth: false });
  }

  function addLink(): void {
    const other = row?.strip.screws.find(({ id }) => id === typed.link);
    if (row && other)
      place.session.edit(addMainsLink(place.job, place.thermostat.id, row.strip.id, row.screw.id, other.id));
    typed.link = '';
  }

  const links = $derived(
    row === null
      ? []
      : mains.links.filter(({ device: own, a, b }) => own === row.strip.id && [a, b].includes(row.screw.id))
  );
</script>

<Dialog
  open={row !== null}
  title="{capital(HUB_SPOTS[hubOf(mains.devices)])} {row?.screw.mark ?? ''}"
  {onclose}
>
  {#if row}
    <ul class="mb-3 flex flex-col gap-1">
      {#each [...row.left, ...row.right] as here (here.wire.id)}
        <li class="flex items-center gap-2">
          <ColourChip code={here.wire.colour} stripe={here.wire.stripe} />
          {here.device?.name ?? 'not known'}
          {here.screw
            ? `${here.screw.mark} · ${say(MAINS_FUNCTION_NAMES[here.screw.does])}`
            : '· other end not read'}
        </li>
      {:else}<li class="quiet">No wire is recorded there.</li>{/each}
      {#each links as link (link.id)}
        {@const other = row.strip.screws.find(({ id }) => id === (link.a === row.screw.id ? link.b : link.a))}
        <li class="flex items-center justify-between gap-2">
          <span>Link to {other?.mark ?? '?'}</span>
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() => place.session.edit(removeMainsLink(place.job, place.thermostat.id, link.id))}
            >Remove this link</button
          >
        </li>
      {/each}
    </ul>
    <form class="flex flex-col gap-3 border-t border-base-300 pt-3" onsubmit={add}>
      <h3 class="font-semibold">Another wire is there</h3>
      <div class="grid gap-3 sm:grid-cols-2">
        <label class="flex flex-col gap-1 text-sm"
          >Its cable goes to
          <select class="select w-full" bind:value={typed.device} required>
            <option value="" disabled>choose a device</option>
            {#each devices as device (device.id)}<option value={device.id}>{device.name}</option>{/each}
          </select></label
        >
        <label class="flex flex-col gap-1 text-sm"
          >There it is on
          <select class="select w-full" bind:value={typed.screw}>
            <option value="">not read yet</option>
            {#each chosen?.screws ?? [] as screw (screw.id)}
              <option value={screw.id}
                >{screw.mark === '' ? '(no print)' : screw.mark} · {say(
                  MAINS_FUNCTION_NAMES[screw.does]
                )}</option
              >
            {/each}
          </select></label
        >
        <label class="flex flex-col gap-1 text-sm"
          >{say('Colour')}
          <select class="select w-full" bind:value={typed.colour} disabled={typed.earth}>
            <option value="">not recorded</option>
            {#each colours as code (code)}<option value={code}>{say(COLOURS[code].name)} ({code})</option
              >{/each}
          </select></label
        >
        <label class="flex items-center gap-2 self-end pb-2"
          ><input type="checkbox" class="checkbox" bind:checked={typed.earth} />green-yellow (earth)</label
        >
      </div>
      <button type="submit" class="btn btn-primary" disabled={!chosen}>Add this wire</button>
    </form>
    <div class="mt-3 flex items-end gap-2 border-t border-base-300 pt-3">
      <label class="flex flex-1 flex-col gap-1 text-sm"
        >A link from it to
        <select class="select w-full" bind:value={typed.link}>
          <option value="">none</option>
          {#each row.strip.screws.filter(({ id }) => id !== row.screw.id) as screw (screw.id)}
            <option value={screw.id}>{screw.mark}</option>
          {/each}
        </select></label
      >
      <button type="button" class="btn btn-outline" disabled={typed.link === ''} onclick={addLink}
        >Add the link</button
      >
    </div>
  {/if}
</Dialog>

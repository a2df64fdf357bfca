<script lang="ts">
  /** A link (jumper) is a wire too: which two terminals, at which end, and what it is made of. */
  import { addLink, removeLink } from '$core/job/edits';
  import { landedOn } from '$core/job/create';
  import type { EndSide } from '$core/trade/vocabulary';
  import Dialog from '../frame/dialog.svelte';
  import { getPlace } from '../state/context';

  interface Props {
    open: boolean;
    onclose: () => void;
  }

  let { open, onclose }: Props = $props();
  const place = getPlace();
  let end = $state<EndSide>('wall');
  const marks = $derived(place.wiring.devices.filter((one) => one.place === end).flatMap((one) => one.marks));
  let why = $state('');

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const form = new FormData(event.currentTarget as HTMLFormElement);
    const [a, b] = [form.get('a'), form.get('b')].map((one) =>
      String(one ?? '')
        .trim()
        .toUpperCase()
    );
    const at = end === 'wall' ? place.thermostat.id : place.thermostat.equipment[0];
    if (!a || !b || at === undefined || ![a, b].every((one) => /^[A-Z0-9+\-/]{1,8}$/.test(one))) {
      why = 'Name the two terminals by their marks.';
      return;
    }
    if (a === b) {
      why = 'A link joins two different terminals.';
      return;
    }
    const kind = String(form.get('kind')) as 'wire' | 'clip' | 'inside';
    place.session.edit(
      addLink(place.job, place.index, { end, a: landedOn(at, a).on[0]!, b: landedOn(at, b).on[0]!, kind })
    );
    why = '';
    onclose();
  }
</script>

<Dialog {open} title="Links" {onclose}>
  {#if place.thermostat.links.length > 0}
    <ul class="mb-4 flex flex-col gap-2">
      {#each place.thermostat.links as link, index (link.id)}
        <li class="flex items-center justify-between rounded border border-base-300 px-3 py-1">
          <span
            ><b>{link.a.mark}</b> to <b>{link.b.mark}</b>, {link.end === 'wall'
              ? 'at the wall'
              : 'at the equipment'}, {link.kind}</span
          >
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() => place.session.edit(removeLink(place.job, place.index, index))}>Remove</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <form class="grid grid-cols-2 gap-3" onsubmit={submit}>
    <label class="flex flex-col gap-1 text-sm"
      >At which end
      <select class="select w-full" bind:value={end}
        ><option value="wall">at the wall</option><option value="equipment">at the equipment</option></select
      >
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >What it is
      <select class="select w-full" name="kind"
        ><option value="wire">a loose piece of wire</option><option value="clip">a clip</option><option
          value="inside">inside the thermostat</option
        ></select
      >
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >From terminal
      <input class="input w-full uppercase" name="a" list="link-marks" maxlength="8" autocomplete="off" />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >To terminal
      <input class="input w-full uppercase" name="b" list="link-marks" maxlength="8" autocomplete="off" />
    </label>
    <datalist id="link-marks"
      >{#each marks as mark (mark)}<option value={mark}></option>{/each}</datalist
    >
    {#if why}<p class="col-span-2 text-sm" role="alert">{why}</p>{/if}
    <div class="col-span-2 flex justify-end"><button class="btn btn-primary">Add the link</button></div>
  </form>
</Dialog>

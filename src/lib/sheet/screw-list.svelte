<script lang="ts">
  /**
   * The screws that a plate, a machine or a strip has: one touch on or off for the usual marks, a field for any other print, and for those
   * that the print does not explain what they are for, and who says so.
   */
  import { addScrew, removeScrew, stateRole, usesOf } from '$core/job/edits';
  import { LIMITS, type LimitedList } from '$core/job/limits';
  import type { Screw, ScrewStatement, WhereId } from '$core/job/schema';
  import { readScrewName, screwName } from '$core/job/screws';
  import {
    ROLE_NAMES,
    ROLE_SOURCE_NAMES,
    ROLE_SOURCES,
    SCREW_ROLES,
    type RoleSource,
    type ScrewRole
  } from '$core/trade/roles';
  import { COMMON_MARKS, markFacts } from '$core/trade/terminals';
  import { terminalAt, terminalOfScrew } from '$core/wiring/graph';
  import { getPlace } from '../state/context';
  import { typedHere } from '../state/typed.svelte';

  interface Props {
    where: WhereId;
    screws: readonly Screw[];
    label: string;
    limit: LimitedList;
  }

  let { where, screws, label, limit }: Props = $props();
  const place = getPlace();
  const other = typedHere('terminal', { mark: '' }, { part: () => where });
  let said = $state('');
  let asking = $state<string | null>(null);

  const full = $derived(screws.length >= LIMITS[limit].most);
  const typed = $derived(other.mark.trim() === '' ? null : readScrewName(other.mark));
  /** Prints of which there is at most one are switched on and off; the rest are listed. */
  const usual = $derived(
    COMMON_MARKS.filter((mark) => screws.filter((screw) => screw.mark === mark).length < 2)
  );
  const listed = $derived(screws.filter((screw) => !usual.some((mark) => mark === screw.mark)));
  const questions = $derived(
    screws.filter((screw) => listed.includes(screw) || screw.role !== null || meansOf(screw).length === 0)
  );

  function meansOf(screw: Screw): readonly string[] {
    return terminalAt(place.wiring, terminalOfScrew(where, screw.id))?.screw.means ?? [];
  }

  function toggle(mark: string): void {
    const there = screws.find((screw) => screw.mark === mark);
    if (there) remove(there);
    else if (!full) place.session.edit(addScrew(place.job, where, mark));
  }

  function remove(screw: Screw): void {
    const uses = usesOf(place.job, { at: where, screw: screw.id }).length;
    if (uses > 0) {
      said = `${screwName(screws, screw.id)} stays: a wire, a jumper or a photo is tied to it. Move that first.`;
      return;
    }
    said = '';
    place.session.edit(removeScrew(place.job, where, screw.id));
  }

  function add(event: SubmitEvent): void {
    event.preventDefault();
    if (typed && !full) place.session.edit(addScrew(place.job, where, typed.mark));
    other.mark = '';
  }

  function stateIt(screw: Screw, means: string, from: string): void {
    const role: ScrewStatement | null =
      means === '' ? null : { means: means as ScrewRole, from: from as RoleSource };
    place.session.edit(stateRole(place.job, where, screw.id, role));
  }
</script>

<div role="group" aria-label={label}>
  <div class="flex flex-wrap gap-1.5">
    {#each usual as mark (mark)}
      {@const on = screws.some((screw) => screw.mark === mark)}
      <button
        type="button"
        class="btn btn-sm h-11 min-w-12 font-semibold sm:h-9"
        class:btn-neutral={on}
        class:btn-outline={!on}
        aria-pressed={on}
        disabled={full && !on}
        title={markFacts(mark)?.means}
        onclick={() => toggle(mark)}>{mark}</button
      >
    {/each}
  </div>
  <form class="mt-2 flex flex-wrap gap-2" onsubmit={add}>
    <input
      class="input input-sm w-40 uppercase"
      maxlength="12"
      placeholder="another mark"
      aria-label="Another mark, as printed"
      bind:value={other.mark}
    />
    <button class="btn btn-outline btn-sm" disabled={!typed || full}>Add</button>
    <button
      type="button"
      class="btn btn-ghost btn-sm"
      disabled={full}
      onclick={() => place.session.edit(addScrew(place.job, where, ''))}>+ Without a mark</button
    >
  </form>
  {#if full}<p class="mt-1 text-sm">That is all a list holds: {LIMITS[limit].most}.</p>{/if}
  {#if other.mark.trim() !== '' && !typed}<p class="mt-1 text-sm" role="alert">
      A mark is letters, digits and / + - . ( ) *.
    </p>{/if}
  {#if said}<p class="mt-1 text-sm" role="alert">{said}</p>{/if}

  {#if questions.length > 0}
    <ul class="mt-3 flex flex-col gap-2">
      {#each questions as screw (screw.id)}
        {@const name = screwName(screws, screw.id)}
        {@const means = meansOf(screw)}
        <li class="rounded border border-base-300 p-2" data-screw={screw.id}>
          <div class="flex flex-wrap items-center justify-between gap-2">
            <span
              ><b>{screw.mark === '' ? `Without a mark ${name}` : name}</b>:
              {#if screw.role}{ROLE_NAMES[screw.role.means]}, {ROLE_SOURCE_NAMES[
                  screw.role.from
                ]}{:else if means.length > 0}{means.join(' and ')}{:else}nobody knows what it is for{/if}</span
            >
            <span class="flex gap-1">
              <button
                type="button"
                class="btn btn-ghost btn-sm"
                aria-expanded={asking === screw.id}
                onclick={() => (asking = asking === screw.id ? null : screw.id)}>What it is for</button
              >
              <button
                type="button"
                class="btn btn-ghost btn-sm"
                aria-label="Remove {name}"
                onclick={() => remove(screw)}>Remove</button
              >
            </span>
          </div>
          {#if asking === screw.id}
            <div class="mt-2 grid gap-2 sm:grid-cols-2">
              <label class="flex flex-col gap-1 text-sm"
                >It is for
                <select
                  class="select w-full"
                  value={screw.role?.means ?? ''}
                  onchange={(event) =>
                    stateIt(screw, event.currentTarget.value, screw.role?.from ?? ROLE_SOURCES[0])}
                >
                  <option value="">what its mark says</option>
                  {#each SCREW_ROLES as role (role)}<option value={role}>{ROLE_NAMES[role]}</option>{/each}
                </select>
              </label>
              {#if screw.role}
                <label class="flex flex-col gap-1 text-sm"
                  >Known from
                  <select
                    class="select w-full"
                    value={screw.role.from}
                    onchange={(event) =>
                      screw.role && stateIt(screw, screw.role.means, event.currentTarget.value)}
                  >
                    {#each ROLE_SOURCES as source (source)}<option value={source}
                        >{ROLE_SOURCE_NAMES[source]}</option
                      >{/each}
                  </select>
                </label>
              {/if}
            </div>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</div>

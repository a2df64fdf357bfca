<script lang="ts">
  /** All thermostats of the job as one piece of work: shared transformers, one trip, one list to buy. */
  import Printer from '@lucide/svelte/icons/printer';
  import { takeWays } from '$core/job/choices';
  import { doJointMove, jointDone, takeJointBack, type JointDone } from '$core/plan/joint-doing';
  import { moveKey } from '$core/plan/moves';
  import type { JointMove } from '$core/plan/joint-moves';
  import { JobTogether } from '$lib/together/job-together.svelte';
  import { downloadBlob, fileName } from '$lib/files/download';
  import { togetherAsPdf } from '$lib/files/together-pdf';
  import SafetyNotice from '$lib/frame/safety-notice.svelte';
  import { minutesText, walksText } from '$lib/moves/bands';
  import MoveRow from '$lib/moves/move-row.svelte';
  import VerdictMark from '$lib/reasons/verdict-mark.svelte';
  import { clock } from '$lib/state/clock.svelte';
  import { getPlace } from '$lib/state/context';
  import SharedSupply from '$lib/together/shared-supply.svelte';
  import Shopping from '$lib/together/shopping.svelte';
  import { jointGroups, jointPictures, ownerOf, wayText } from '$lib/together/words';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const planned = new JobTogether();
  $effect(() => {
    void planned.plan(place.job);
    return () => planned.cancel();
  });
  const together = $derived(planned.result);
  const chosen = $derived(
    new Set<string>(
      place.job.thermostats
        .filter((thermostat) => thermostat.choice.method !== null)
        .map((thermostat) => thermostat.id)
    )
  );
  /** Ways that could be taken now, and are not yet. */
  const open = $derived(
    (together?.places ?? [])
      .filter((place) => place.works && !place.assumedDevice && !chosen.has(place.thermostat.id))
      .map(({ thermostat, option }) => ({
        thermostat: thermostat.id,
        method: option.method,
        variant: option.variant?.id ?? null
      }))
  );
  const nameOf = $derived(
    new Map<string, string>(place.job.thermostats.map((thermostat) => [thermostat.id, thermostat.name]))
  );
  const groups = $derived(jointGroups(together?.moves ?? [], nameOf));
  const pictures = $derived(together ? jointPictures(together) : new Map<string, never>());
  const next = $derived(together?.moves[0]);
  const done = $derived(together ? jointDone(place.job, together.places) : []);
  const now = () => new Date(clock.now).toISOString();

  /** On the plan as it is after the last edit, which may still be in the making. */
  async function tick(move: JointMove): Promise<void> {
    const fresh = await planned.fresh();
    if (fresh) place.session.edit(doJointMove(place.job, fresh.places, move, now()));
  }

  async function untick(made: JointDone): Promise<void> {
    const fresh = await planned.fresh();
    if (fresh) place.session.edit(takeJointBack(place.job, fresh.places, made, now()));
  }

  const ownersOf = (made: JointDone) =>
    made.entries.map(({ thermostat }) => nameOf.get(thermostat) ?? '').join(', ');

  let busy = $state(false);
  let trouble = $state('');

  async function asPdf(): Promise<void> {
    if (!together) return;
    busy = true;
    try {
      const sheet = { together, title: `${place.job.name}, all together`, names: nameOf, chosen };
      downloadBlob(fileName(`${place.job.name}-all-together`, 'pdf'), await togetherAsPdf(sheet));
      trouble = '';
    } catch (error) {
      trouble = `The PDF was not made: ${error instanceof Error ? error.message : String(error)}. Print holds the same.`;
    }
    busy = false;
  }

  const timeOf = (iso: string) =>
    new Date(iso).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
</script>

<svelte:head><title>All together · {place.job.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div class="flex flex-wrap items-end justify-between gap-2">
    <div>
      <h1 class="station-title">All together</h1>
      <p class="quiet">
        {place.job.thermostats.length} thermostats as one piece of work: one trip to each machine, one list to buy.
      </p>
    </div>
    <div class="no-print flex flex-wrap gap-2">
      {#if together}<button type="button" class="btn btn-outline" disabled={busy} onclick={asPdf}
          >{busy ? 'Making …' : 'As PDF'}</button
        >{/if}
      <button type="button" class="btn btn-primary" onclick={() => window.print()}
        ><Printer size={18} aria-hidden="true" />Print</button
      >
    </div>
    {#if trouble}<p class="w-full text-sm" role="alert">{trouble}</p>{/if}
  </div>

  {#if planned.share !== null && (!together || planned.share > 0)}
    <p class="sheet-of-paper no-print flex flex-wrap items-center gap-3 p-4" role="status">
      Planning {place.job.thermostats.length} thermostats …
      <progress class="progress w-40" value={planned.share} max="1" aria-label="How much is planned"
      ></progress>
      <button type="button" class="btn btn-sm" onclick={() => planned.cancel()}>Stop</button>
    </p>
  {:else if planned.trouble !== '' || !together}
    <p class="sheet-of-paper no-print flex flex-wrap items-center gap-3 p-4" role="alert">
      {planned.trouble === '' ? 'Not planned: it was stopped.' : planned.trouble}
      <button type="button" class="btn btn-sm" onclick={() => void planned.plan(place.job)}>Try again</button>
    </p>
  {/if}
  {#if together}
    <section class="sheet-of-paper p-4" aria-label="Ways taken">
      <ul class="flex flex-col gap-2">
        {#each together.places as entry (entry.thermostat.id)}
          <li
            class="flex flex-wrap items-center gap-x-3 border-b border-base-300 pb-2 last:border-none last:pb-0"
          >
            <a
              class="min-w-40 font-semibold underline"
              href="/job/{place.job.id}/{entry.thermostat.id}/supply">{entry.thermostat.name}</a
            >
            <VerdictMark verdict={entry.option.verdict} size={16} />
            <span>{say(wayText(entry, chosen.has(entry.thermostat.id)))}</span>
          </li>
        {/each}
      </ul>
      {#if open.length > 0}<button
          type="button"
          class="btn btn-primary no-print mt-3"
          onclick={() => place.session.edit(takeWays(place.job, open))}>Take these ways</button
        >{/if}
      {#if together.moves.length > 0}<p class="mt-3">
          All of it takes {minutesText(together.minutes)}; one after the other it would be {minutesText(
            together.minutesApart
          )}. It takes {walksText(together.walks)} between walls and machines.
        </p>{/if}
    </section>

    {#each together.shared as shared (shared.machine)}<SharedSupply {shared} />{/each}

    {#if together.moves.length === 0 && done.length === 0}
      <section class="sheet-of-paper p-4">
        <h2 class="section-title mb-1">Nothing is moved</h2>
        <p>No way is open for any of them, or all are left as they are: see C wire of each.</p>
      </section>
    {:else}
      <Shopping {together} />
      <SafetyNotice at="moving" />
      <section class="sheet-of-paper p-4" aria-label="Moves of all">
        <h2 class="section-title mb-2">One trip, one wire at a time</h2>
        {#if done.length > 0}
          <h3 class="mt-3 mb-1 border-b border-base-300 pb-1 font-semibold">Done</h3>
          <ol class="flex list-none flex-col">
            {#each done as made, index (made.move.entry.id + ownersOf(made))}
              <MoveRow
                move={made.move}
                number={index + 1}
                done={timeOf(made.move.entry.at)}
                next={false}
                before={undefined}
                after={undefined}
                whose={ownersOf(made)}
                ontick={() => untick(made)}
              />
            {/each}
          </ol>
        {/if}
        {#each groups as group (group.first)}
          <h3 class="mt-3 mb-1 border-b border-base-300 pb-1 font-semibold">{group.head}</h3>
          <ol start={done.length + group.first} class="flex list-none flex-col">
            {#each group.moves as move, index (`${move.thermostats.join()} ${moveKey(move)}`)}
              <MoveRow
                {move}
                number={done.length + group.first + index}
                done={null}
                next={move === next}
                before={pictures.get(move.id)?.[0]}
                after={pictures.get(move.id)?.[1]}
                record={move.change?.kind === 'end'
                  ? `/job/${place.job.id}/${move.thermostats[0]}/sheet?strand=${encodeURIComponent(move.what)}&end=${move.end}`
                  : null}
                whose={ownerOf(move, nameOf)}
                ontick={() => tick(move)}
              />
            {/each}
          </ol>
        {/each}
      </section>
    {/if}
  {/if}
</div>

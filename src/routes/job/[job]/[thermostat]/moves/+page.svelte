<script lang="ts">
  /** Station: the move list, with the sheet before and after; made to be printed and carried. */
  import Printer from '@lucide/svelte/icons/printer';
  import { deviceName } from '$core/match/catalogue';
  import { doMove, takeBack } from '$core/plan/doing';
  import type { Move } from '$core/plan/move-types';
  import { moveKey, movesDone, wiringsAlong, type DoneMove } from '$core/plan/moves';
  import { findingText } from '$core/words/findings/table';
  import { lossText } from '$core/words/losses';
  import { bagFor } from '$core/plan/tools';
  import { download, downloadBlob, fileName } from '$lib/files/download';
  import { planAsPdf, planDrawings } from '$lib/files/plan-pdf';
  import { costText, minutesText, partText, walksText } from '$lib/moves/bands';
  import { groupMoves, placeHead } from '$lib/moves/groups';
  import MoveRow from '$lib/moves/move-row.svelte';
  import Explained from '$lib/words/explained.svelte';
  import SafetyNotice from '$lib/frame/safety-notice.svelte';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import ProofTable from '$lib/reasons/proof-table.svelte';
  import VerdictMark from '$lib/reasons/verdict-mark.svelte';
  import { sheetView } from '$lib/sheet/rows';
  import StrandSheet from '$lib/sheet/strand-sheet.svelte';
  import { clock } from '$lib/state/clock.svelte';
  import { getPlace } from '$lib/state/context';
  import { money, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const plan = $derived(place.plan);
  const taken = $derived(plan.options.find((option) => option.method === plan.taken));
  const before = $derived(sheetView(plan.wiringBefore));
  const after = $derived(plan.wiringAfter && taken ? sheetView(plan.wiringAfter, plan.wiringFound) : null);
  const title = $derived(
    `${place.job.name}, ${place.thermostat.name}: ${deviceName(plan.device)}, ${(taken?.title ?? '').toLowerCase()}`
  );
  const done = $derived(movesDone(plan.wiringFound, plan.done));
  const groups = $derived(groupMoves(plan.moves));
  const doneGroups = $derived(groupMoves(done));
  const conditions = $derived(
    [...place.safety.findings, ...(taken?.findings ?? [])].filter((finding) => finding.level !== 'note')
  );

  const next = $derived(plan.moves[0]);
  const alongDone = $derived(wiringsAlong(plan.wiringFound, done));
  const along = $derived(wiringsAlong(plan.wiringNow, plan.moves));
  const timeOf = (iso: string) =>
    new Date(iso).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });

  const now = () => new Date(clock.now).toISOString();

  /** On the plan as it is after the last edit, which may still be in the making. */
  async function tick(move: Move): Promise<void> {
    const key = moveKey(move);
    const fresh = await place.freshPlan();
    const own = fresh.moves.find((move) => moveKey(move) === key);
    if (own) place.session.edit(doMove(place.job, place.thermostat.id, fresh, own, now()));
  }

  async function untick({ entry }: DoneMove): Promise<void> {
    const fresh = await place.freshPlan();
    const step = takeBack(place.job, place.thermostat.id, fresh, entry.id, now());
    if (step) place.session.edit(step);
  }

  let busy = $state(false);
  let trouble = $state('');
  const name = (ending: string) => fileName(`${place.job.name}-${place.thermostat.name}-moves`, ending);
  const sheet = $derived(
    taken
      ? {
          plan,
          taken,
          title: `${place.job.name}, ${place.thermostat.name}`,
          conditions: conditions.map((condition) => findingText(condition, place.job.units))
        }
      : null
  );

  async function asPdf(): Promise<void> {
    if (!sheet) return;
    busy = true;
    try {
      downloadBlob(name('pdf'), await planAsPdf(sheet));
      trouble = '';
    } catch (error) {
      trouble = `The PDF was not made: ${error instanceof Error ? error.message : String(error)}. Print holds the same.`;
    }
    busy = false;
  }

  function asSvg(): void {
    if (!sheet) return;
    const drawings = planDrawings(sheet);
    download(name('before.svg'), drawings.before, 'image/svg+xml');
    if (drawings.after) download(name('after.svg'), drawings.after, 'image/svg+xml');
  }

  function head(name: string): string {
    const machine = place.machines.find((machine) => machine.name === name);
    return machine?.place ? `${name}, ${machine.place}` : placeHead(name);
  }
</script>

<svelte:head><title>Steps · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div class="flex flex-wrap items-end justify-between gap-2">
    <div>
      <h1 class="station-title">Steps</h1>
      <p><Explained text={title} /></p>
      {#if place.thermostat.choice.method === null}<p class="quiet">Recommended; not chosen yet.</p>{/if}
    </div>
    <div class="no-print flex flex-wrap gap-2">
      {#if plan.moves.length > 0 || done.length > 0}
        <a class="btn btn-primary" href="do">Step by step</a>
      {/if}
      {#if taken && plan.moves.length > 0}
        <button type="button" class="btn btn-outline" disabled={busy} onclick={asPdf}
          >{busy ? 'Making …' : 'As PDF'}</button
        >
        <button type="button" class="btn btn-outline" onclick={asSvg}>Drawings as SVG</button>
      {/if}
      <button type="button" class="btn btn-outline" onclick={() => window.print()}
        ><Printer size={18} aria-hidden="true" />Print</button
      >
    </div>
    {#if trouble}<p class="w-full text-sm" role="alert">{trouble}</p>{/if}
  </div>

  <SafetyNotice at="moving" />

  {#if taken}
    <section class="sheet-of-paper p-4" aria-label="Verdict">
      <p class="mb-2">
        <VerdictMark verdict={taken.verdict} />{#if taken.verdict !== 'no' && taken.minutes > 0}<span
            >&ensp;{minutesText(taken.minutesBand)}, {walksText(taken.walks)} between wall and machine</span
          >{/if}
      </p>
      {#if taken.loses.length > 0}<p>
          <b>What you lose:</b>
          {taken.loses.map(lossText).join(' ')}
        </p>{/if}
      <FindingList findings={conditions} />
    </section>
  {/if}

  {#if plan.moves.length === 0 && done.length === 0}
    <section class="sheet-of-paper p-4">
      <h2 class="section-title mb-1">Nothing is moved</h2>
      <p>
        {taken?.method === 'none'
          ? 'The way taken is to leave everything as it is.'
          : 'The way taken is refused: see C wire for the reasons.'}
      </p>
    </section>
  {:else}
    <section class="sheet-of-paper moves p-4" aria-label="Move list">
      <h2 class="section-title mb-2">
        One wire at a time <span class="quiet text-sm font-normal" data-progress
          >{done.length} of {done.length + plan.moves.length} done</span
        >
      </h2>
      <p class="no-print mb-1">
        Found something other than recorded? Stop, put it right on
        <a class="underline" href="sheet">the Wires page</a>, and come back: the plan is made anew and keeps
        what is ticked.
      </p>
      {#if plan.misfits.length > 0}
        <p class="mb-1" role="status">
          {plan.misfits.length}
          {plan.misfits.length === 1 ? 'thing that was' : 'things that were'} done no longer {plan.misfits
            .length === 1
            ? 'fits'
            : 'fit'} the record, since that was changed: see that the sheet shows the house as it is now.
        </p>
      {/if}
      {#each doneGroups as group (group.first)}
        <h3 class="mt-3 mb-1 border-b border-base-300 pb-1 font-semibold">{head(group.key)}</h3>
        <ol start={group.first} class="flex list-none flex-col">
          {#each group.moves as move, index (move.entry.id)}
            {@const position = group.first + index}
            <MoveRow
              {move}
              number={position}
              done={timeOf(move.entry.at)}
              next={false}
              before={alongDone[position - 1]}
              after={alongDone[position]}
              ontick={() => untick(move)}
            />
          {/each}
        </ol>
      {/each}
      {#if plan.moves.length === 0}<p class="mt-3 font-semibold">All is done.</p>{/if}
      {#each groups as group (group.first)}
        <h3 class="mt-3 mb-1 border-b border-base-300 pb-1 font-semibold">{head(group.key)}</h3>
        <ol start={done.length + group.first} class="flex list-none flex-col">
          {#each group.moves as move, index (moveKey(move))}
            {@const position = group.first + index}
            <MoveRow
              {move}
              number={done.length + position}
              done={null}
              next={move === next}
              before={along[position - 1]}
              after={along[position]}
              record={move.change?.kind === 'end'
                ? `sheet?strand=${encodeURIComponent(move.what)}&end=${move.end}`
                : null}
              ontick={() => tick(move)}
            />
          {/each}
        </ol>
      {/each}
    </section>

    <section class="sheet-of-paper p-3 sm:p-5" aria-label="As found">
      <h2 class="section-title mb-2">As found</h2>
      <StrandSheet view={before} label="As found" />
    </section>
    {#if after}<section class="sheet-of-paper p-3 sm:p-5" aria-label="As planned">
        <h2 class="section-title mb-2">
          As planned <span class="quiet text-sm font-normal">what moves is on dark ground</span>
        </h2>
        <StrandSheet view={after} label="As planned" />
      </section>{/if}

    <div class="grid gap-4 md:grid-cols-2">
      <section class="sheet-of-paper p-4">
        <h2 class="section-title mb-2">Parts</h2>
        <ul class="list-disc pl-5">
          <li>
            {deviceName(plan.device)}{#if plan.device.price !== null}&ensp;{money(plan.device.price)}{/if}
          </li>
          {#each plan.parts as part (part.id)}<li>{say(partText(part))}</li>{/each}
        </ul>
        {#if taken}<p class="mt-2">
            Parts {say(costText(taken.costBand))}, without the thermostat and without whoever is paid for
            mains work.
          </p>{/if}
        {#if place.job.thermostats.length > 1}<p class="mt-1">
            Several thermostats: cable from common rolls and one trip for all under
            <a class="underline" href="together">All together</a>.
          </p>{/if}
      </section>
      <section class="sheet-of-paper p-4">
        <h2 class="section-title mb-2">In the bag</h2>
        <ul class="list-disc pl-5">
          {#each bagFor(plan.moves) as tool (tool)}<li>{tool}</li>{/each}
        </ul>
      </section>
    </div>

    {#if taken?.proof?.worlds[0]}
      <section class="sheet-of-paper p-4">
        <h2 class="section-title mb-2">Proof</h2>
        <ProofTable proof={taken.proof.worlds[0]} />
      </section>
    {/if}
  {/if}
</div>

<style>
  @media print {
    section {
      break-inside: avoid;
    }

    .moves {
      break-inside: auto;
    }
  }
</style>

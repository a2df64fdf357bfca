<script lang="ts">
  /** Station: the moves, for somebody competent: off and proven dead, one wire at a time, then on. */
  import Printer from '@lucide/svelte/icons/printer';
  import { numberName, stripOf } from '$core/handover/mains/as-built';
  import type { MainsView } from '$core/handover/mains/view';
  import { isCompetent, isProvenDead } from '$core/job/mains-edits';
  import type { LogEntry } from '$core/job/log-schema';
  import type { MainsControls } from '$core/job/mains-schema';
  import { controllerName } from '$core/match/mains/controllers';
  import { doMainsMove, mayDo, takeMainsBack } from '$core/plan/mains/doing';
  import { moveKey, type Move } from '$core/plan/move-types';
  import { MAINS_METHOD_NAMES } from '$core/trade/mains';
  import { hubOf, SPOTS_HEADING } from '$core/trade/mains-hub';
  import { mainsText } from '$core/words/mains-findings';
  import Competence from '$lib/mains/competence.svelte';
  import MainsFindings from '$lib/mains/mains-findings.svelte';
  import MainsPage from '$lib/mains/mains-page.svelte';
  import MoveRow from '$lib/moves/move-row.svelte';
  import VerdictMark from '$lib/reasons/verdict-mark.svelte';
  import { downloadBlob, fileName } from '$lib/files/download';
  import { clock } from '$lib/state/clock.svelte';
  import { getPlace } from '$lib/state/context';
  import { moment, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const now = () => new Date(clock.now).toISOString();
  /** Large, one after the other, for a phone that stands on the floor. */
  let single = $state(false);
  let busy = $state(false);
  let trouble = $state('');

  const mayMove = (mains: MainsControls, move: Move) => mayDo(mains, move, now().slice(0, 10));

  function tick(move: Move): void {
    const step = doMainsMove(place.job, place.thermostat, move, now());
    if (step) place.session.edit(step);
  }

  function untick(entry: LogEntry | undefined): void {
    const step = entry && takeMainsBack(place.job, place.thermostat, entry, now());
    if (step) place.session.edit(step);
  }

  async function asPdf(view: MainsView): Promise<void> {
    busy = true;
    try {
      const { mainsPlanAsPdf } = await import('$lib/files/mains-pdf');
      const title = `${place.job.name}, ${place.thermostat.name}`;
      downloadBlob(fileName(`${title}-mains`, 'pdf'), await mainsPlanAsPdf(view, title));
      trouble = '';
    } catch (error) {
      trouble = `The PDF was not made: ${error instanceof Error ? error.message : String(error)}. Print holds the same.`;
    }
    busy = false;
  }
</script>

<MainsPage
  title="Steps"
  intro="For somebody competent. Off and proven dead first; one wire at a time, by what it does and never by its number."
>
  {#snippet early(mains)}
    <Competence {mains} />
  {/snippet}
  {#snippet body(mains, view)}
    {@const { plan } = view}
    {@const way = plan.taken}
    {@const moves = way?.moves ?? []}
    {@const done = mains.log.filter(
      ({ id, undoes }) => undoes === null && !mains.log.some((other) => other.undoes === id)
    )}
    <section class="sheet-of-paper p-4" aria-label="The way">
      {#if way}
        <p class="mb-2 flex flex-wrap items-center gap-x-3">
          <VerdictMark verdict={way.verdict} />
          <b>{MAINS_METHOD_NAMES[way.method]}{way.facts ? `: ${controllerName(way.facts)}` : ''}</b>
          {#if way.moves.length > 0}<span class="quiet"
              >{way.effort.minutes[0]} to {way.effort.minutes[2]} min, as a rule {way.effort.minutes[1]}</span
            >{/if}
        </p>
        {#if mains.choice.method === null}<p class="quiet">Recommended; not chosen yet.</p>{/if}
        <MainsFindings findings={way.findings.filter(({ level }) => level !== 'note')} />
        <div class="no-print mt-3 flex flex-wrap gap-2">
          <button type="button" class="btn btn-outline" disabled={busy} onclick={() => asPdf(view)}
            >{busy ? 'Making …' : 'Plan as PDF'}</button
          >
          <button type="button" class="btn btn-outline" onclick={() => window.print()}
            ><Printer size={18} aria-hidden="true" />Print</button
          >
        </div>
        {#if trouble}<p class="text-sm" role="alert">{trouble}</p>{/if}
      {:else}
        <p>
          Choose a controller and what it replaces first. <a class="underline" href="controller">Controller</a
          >
        </p>
      {/if}
    </section>

    {#if way && way.verdict === 'no'}
      <p class="sheet-of-paper p-4" role="status">
        This way is closed: {way.findings
          .filter(({ level }) => level === 'stop')
          .map((finding) => say(mainsText(finding)))
          .join(' ')}
      </p>
    {:else if moves.length > 0}
      <section class="sheet-of-paper p-4" aria-label="Moves">
        {#if !isCompetent(mains)}
          <p class="mb-2">
            <b>These steps are not for you.</b> They are what you ask for: show or print them for whoever does the
            work. They can be ticked once that person is named above.
          </p>
        {:else if !isProvenDead(mains.dead, now().slice(0, 10))}
          <p class="mb-2"><b>Not proven dead today.</b> No wire can be ticked before that.</p>
        {/if}
        <button
          type="button"
          class="btn btn-outline btn-sm no-print mb-2"
          aria-pressed={single}
          onclick={() => (single = !single)}>{single ? 'Show the whole list' : 'One step at a time'}</button
        >
        {#if single && moves[0]}
          {@const move = moves[0]}
          <div class="flex flex-col gap-3" role="region" aria-label="This step">
            <p class="quiet">Step {done.length + 1}, {moves.length} left</p>
            <p class="text-2xl leading-snug">{say(move.text)}</p>
            {#if move.tools.length > 0 || move.strip}<p class="quiet">
                {[...move.tools, ...(move.strip ? [`strip ${move.strip}`] : [])].join('; ')}
              </p>{/if}
            <div class="flex flex-wrap gap-3">
              <button
                type="button"
                class="btn btn-primary btn-lg"
                disabled={!mayMove(mains, move)}
                onclick={() => tick(move)}>Done</button
              >
              {#if done.length > 0}
                <button
                  type="button"
                  class="btn btn-outline btn-lg"
                  onclick={() => untick(done[done.length - 1])}>Back</button
                >
              {/if}
              <a class="btn btn-ghost btn-lg" href="strip">Not as shown</a>
            </div>
          </div>
        {/if}
        <fieldset disabled={!isCompetent(mains)} class:hidden={single}>
          <legend class="sr-only">Moves</legend>
          <ol>
            {#each moves as move, at (moveKey(move))}
              {#key mayMove(mains, move)}
                <MoveRow
                  {move}
                  number={done.length + at + 1}
                  done={null}
                  next={at === 0}
                  before={undefined}
                  after={undefined}
                  locked={!mayMove(mains, move)}
                  ontick={() => tick(move)}
                />
              {/key}
            {/each}
          </ol>
        </fieldset>
      </section>
    {:else if way && way.moves.length === 0 && done.length === 0}
      <p class="sheet-of-paper p-4">Nothing has to be moved.</p>
    {:else if way}
      <p class="sheet-of-paper p-4" role="status">
        <b>All steps are done.</b> Watch for a minute: a hum that does not end, smell, a fuse that opens: off.
        <a class="underline" href="trial">Set up and test</a>
      </p>
    {/if}

    {#if done.length > 0}
      <section class="sheet-of-paper p-4" aria-label="Done">
        <h2 class="section-title mb-2">Done</h2>
        <ol class="flex flex-col gap-1">
          {#each done as entry (entry.id)}
            <li class="flex items-center justify-between gap-2 border-b border-base-300 py-1">
              <span
                >{entry.act.action}
                {plan.found.strands.find(({ id }) => id === entry.act.what)?.name ?? entry.act.what}
                <span class="quiet text-sm">{moment(entry.at)}</span></span
              >
              <button type="button" class="btn btn-ghost btn-sm no-print" onclick={() => untick(entry)}
                >Take back</button
              >
            </li>
          {/each}
        </ol>
        {#if view.back.length > 0}
          <details class="mt-2">
            <summary class="cursor-pointer py-1">Put it back as it was</summary>
            <ol class="list-decimal pl-6">
              {#each view.back as move (move.id)}<li class="py-0.5">{say(move.text)}</li>{/each}
            </ol>
          </details>
        {/if}
      </section>
    {/if}

    <section class="sheet-of-paper p-4" aria-label="Strip before and after">
      <h2 class="section-title mb-2">{say(SPOTS_HEADING[hubOf(mains.devices)])}</h2>
      <div class="overflow-x-auto">
        <table class="table table-sm">
          <thead><tr><th>No.</th><th>Now</th><th>After</th></tr></thead>
          <tbody>
            {#each stripOf(way?.after ?? plan.now.wiring) as after, at (at)}
              {@const before = stripOf(plan.now.wiring).find(
                ({ of, unit, mark }) => of === after.of && unit === after.unit && mark === after.mark
              )}
              {#if after.wires.length + (before?.wires.length ?? 0) > 0}
                <tr>
                  <td><b>{numberName(after)}</b></td>
                  <td>{before?.wires.map(({ to }) => to).join('; ') || '–'}</td>
                  <td
                    >{after.wires.map(({ to }) => to).join('; ') || '–'}{after.linked.length > 0
                      ? `; link to ${after.linked.join(', ')}`
                      : ''}</td
                  >
                </tr>
              {/if}
            {/each}
          </tbody>
        </table>
      </div>
    </section>
  {/snippet}
</MainsPage>

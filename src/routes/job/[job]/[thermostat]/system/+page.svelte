<script lang="ts">
  /** Station: name the system. */
  import { observe, stateFamily } from '$core/job/choices';
  import Explained from '$lib/words/explained.svelte';
  import { EVIDENCE } from '$core/identify/evidence/registry';
  import { CANDIDATES } from '$core/identify/types';
  import { FAMILY_NAMES, type Family } from '$core/trade/vocabulary';
  import EvidenceList from '$lib/reasons/evidence-list.svelte';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import ShareList from '$lib/reasons/share-list.svelte';
  import TraitList from '$lib/system/trait-list.svelte';
  import NextQuestion from '$lib/system/next-question.svelte';
  import { getPlace } from '$lib/state/context';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const identification = $derived(place.identification);
  const asked = EVIDENCE.filter((candidate) => candidate.kind !== 'read');
  const answered = $derived(
    asked.filter((candidate) => place.thermostat.observed[candidate.id] !== undefined)
  );
  /** Those under 1 % say no more than that they are out of the question. */
  const likely = $derived(
    identification.candidates.filter((candidate, at) => at === 0 || candidate.probability >= 0.01)
  );
  const remote = $derived(identification.candidates.slice(likely.length));
  const classes = {
    '24v': '24 V class',
    line: 'mains voltage',
    millivolt: 'millivolt',
    data: 'data',
    unknown: 'not settled'
  };
  const states = CANDIDATES.filter((candidate) => candidate !== 'unknown');

  function labelOf(id: string): string {
    const answer = place.thermostat.observed[id];
    const evidence = EVIDENCE.find((candidate) => candidate.id === id);
    return evidence?.values.find((candidate) => candidate.value === answer)?.label ?? `${answer} V`;
  }
</script>

<svelte:head><title>System · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">System: {FAMILY_NAMES[identification.family]}</h1>
    <p class="quiet">
      <Explained
        text="Furnace, boiler, heat pump or mains voltage: it decides what the wires do, and which thermostat fits."
      />
      Voltage class: {classes[identification.voltageClass]}. {identification.decided
        ? 'Settled as far as the record goes.'
        : 'Not settled: the next observation helps most.'}
    </p>
  </div>

  {#if identification.findings.length > 0}
    <section class="sheet-of-paper p-4" aria-label="What to mind">
      <FindingList findings={identification.findings} />
    </section>
  {/if}

  {#if identification.family === 'mains-hydronic'}
    <p class="sheet-of-paper flex flex-wrap items-center gap-3 p-4">
      <span class="min-w-0 flex-1"
        >{say(
          'Timer, room thermostat, valves and boiler at 230 V meet in a wiring centre: they have a record of their own.'
        )}</span
      >
      <a class="btn btn-primary" href="strip">Record mains heating controls</a>
    </p>
  {/if}

  <div class="grid grid-cols-1 gap-4 lg:grid-cols-2">
    <div class="flex flex-col gap-4">
      <NextQuestion />
      <section class="sheet-of-paper p-4">
        <h2 class="section-title mb-2">Answered</h2>
        {#if answered.length === 0}<p class="quiet">Nothing yet.</p>{/if}
        <ul class="flex flex-col gap-2">
          {#each answered as question (question.id)}
            <li class="flex items-start justify-between gap-2 border-b border-base-300 pb-2 last:border-none">
              <span><span class="quiet text-sm">{question.ask}</span><br /><b>{labelOf(question.id)}</b></span
              >
              <button
                type="button"
                class="btn btn-ghost btn-sm flex-none"
                aria-label="Take back: {question.ask}"
                onclick={() => place.session.edit(observe(place.job, place.thermostat.id, question.id, null))}
                >Take back</button
              >
            </li>
          {/each}
        </ul>
      </section>
    </div>

    <div class="flex flex-col gap-4">
      <section class="sheet-of-paper p-4">
        <h2 class="section-title mb-2">Most likely</h2>
        <ShareList
          chosen={identification.family}
          shares={likely.map(({ family, probability }) => ({
            id: family,
            name: family === 'unknown' ? 'something else' : FAMILY_NAMES[family],
            probability
          }))}
        />
        {#if remote.length > 0}
          <p class="quiet mt-2 text-sm">
            Under 1 % each: {remote
              .map((question) =>
                question.family === 'unknown' ? 'something else' : FAMILY_NAMES[question.family]
              )
              .join(', ')}.
          </p>
        {/if}
        <label class="mt-4 flex flex-col gap-1 text-sm"
          >You know what it is?
          <select
            class="select w-full"
            value={place.thermostat.statedFamily ?? ''}
            onchange={(event) =>
              place.session.edit(
                stateFamily(
                  place.job,
                  place.thermostat.id,
                  (event.currentTarget.value || null) as Family | null
                )
              )}
          >
            <option value="">Let the evidence say</option>
            {#each states as state (state)}<option value={state}>{FAMILY_NAMES[state]}</option>{/each}
          </select>
        </label>
      </section>
      <TraitList />
      <section class="sheet-of-paper p-4">
        <h2 class="section-title mb-2">What that rests on</h2>
        <EvidenceList />
      </section>
    </div>
  </div>
</div>

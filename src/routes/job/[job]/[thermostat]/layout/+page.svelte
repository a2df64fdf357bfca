<script lang="ts">
  /** Station: which layout it is, by evidence; and what the wiring does in every state. */
  import { dropMains, observeLayout } from '$core/job/mains-edits';
  import { LAYOUT_NAMES } from '$core/trade/mains';
  import { percentText } from '$core/trade/figures';
  import { capital } from '$core/words/text';
  import MainsFindings from '$lib/mains/mains-findings.svelte';
  import MainsPage from '$lib/mains/mains-page.svelte';
  import ShareList from '$lib/reasons/share-list.svelte';
  import TruthTable from '$lib/mains/truth-table.svelte';
  import { getPlace } from '$lib/state/context';

  const place = getPlace();
  const id = $derived(place.thermostat.id);
</script>

<MainsPage
  title="Layout"
  intro="How heating and hot water are parted: by two-port valves, by one mid-position valve, by the boiler itself. It decides what a controller has to do."
>
  {#snippet body(mains, { plan })}
    {@const found = plan.identification}
    {@const [next] = found.next}
    <section class="sheet-of-paper p-4" aria-label="Layout">
      <p class="text-lg">
        <b>{capital(LAYOUT_NAMES[found.layout])}</b>
        {#if found.decided}<span class="quiet">{percentText(found.probability)}</span>{/if}
      </p>
      <div class="mt-2">
        <ShareList
          chosen={found.layout}
          shares={found.candidates
            .filter(({ probability }) => probability >= 0.01)
            .map(({ layout, probability }) => ({
              id: layout,
              name: layout === 'unknown' ? 'something else' : LAYOUT_NAMES[layout],
              probability
            }))}
        />
      </div>
    </section>
    {#if next}
      <section class="sheet-of-paper p-4" aria-label="Next question" data-ask={next.question.id}>
        <h2 class="section-title">{next.question.ask}</h2>
        <p class="quiet mb-2">{next.question.how}</p>
        <div class="flex flex-wrap gap-2">
          {#each next.question.values as answer (answer.value)}
            <button
              type="button"
              class="btn btn-outline h-auto min-h-11 py-2"
              onclick={() => place.session.edit(observeLayout(place.job, id, next.question.id, answer.value))}
              >{answer.label}</button
            >
          {/each}
        </div>
      </section>
    {/if}
    <section class="sheet-of-paper p-4" aria-label="Evidence">
      <h2 class="section-title mb-2">What that follows from</h2>
      <ul class="flex flex-col gap-1">
        {#each found.readings as reading (reading.question.id)}
          <li class="flex items-start justify-between gap-2">
            <span>{reading.sentence}</span>
            {#if mains.observed[reading.question.id] !== undefined}
              <button
                type="button"
                class="btn btn-ghost btn-sm flex-none"
                aria-label="Take back: {reading.sentence}"
                onclick={() => place.session.edit(observeLayout(place.job, id, reading.question.id, null))}
                >Take back</button
              >
            {/if}
          </li>
        {:else}<li class="quiet">Nothing is recorded or answered yet.</li>{/each}
      </ul>
    </section>
    {#if plan.questions.length + plan.today.length > 0}
      <section class="sheet-of-paper p-4" aria-label="What is open">
        <MainsFindings findings={[...plan.today, ...plan.questions]} />
      </section>
    {/if}
    {#if plan.table}
      <section class="sheet-of-paper p-4" aria-label="Today">
        <h2 class="section-title mb-1">What it does today</h2>
        <p class="quiet mb-2">Solved as a circuit for every state of timer and thermostats.</p>
        <TruthTable found={plan.found} before={plan.table} after={null} />
      </section>
    {:else if plan.waiting.length > 0}
      <p class="sheet-of-paper p-4">
        What it does today is worked out once every wire and screw in use is read: as long as one is not, what
        seems to stand still may run.
      </p>
    {/if}
    <details class="text-sm">
      <summary class="quiet cursor-pointer py-1">This is no mains heating control at all</summary>
      <button
        type="button"
        class="btn btn-outline btn-sm"
        onclick={() => place.session.edit(dropMains(place.job, id))}>Take the whole record out</button
      >
    </details>
  {/snippet}
</MainsPage>

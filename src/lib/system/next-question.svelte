<script lang="ts">
  /** The next most useful observation, with its answers as buttons and what each would make of the beliefs. */
  import { observe } from '$core/job/choices';
  import { nextLooks } from '$core/plan/next-look';
  import { EVIDENCE } from '$core/identify/evidence/registry';
  import { percentText } from '$core/trade/figures';
  import { FAMILY_NAMES } from '$core/trade/vocabulary';
  import { getPlace } from '../state/context';
  import { emptied, typedHere } from '../state/typed.svelte';
  import Explained from '../words/explained.svelte';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const look = $derived(
    nextLooks(place.identification, place.looks).find((nextLook) => nextLook.question !== null)
  );
  const next = $derived(look?.question ?? undefined);
  const later = $derived(
    EVIDENCE.filter(
      (candidate) =>
        candidate.kind !== 'read' &&
        place.thermostat.observed[candidate.id] === undefined &&
        candidate.id !== next?.evidence.id
    )
  );
  const opens = $derived(look?.opens ? ', and may open a better way to the C wire' : '');
  let picked = $state<string | null>(null);
  const shown = $derived(later.find((candidate) => candidate.id === picked) ?? next?.evidence);
  const efforts = { look: 'a look', climb: 'a way to the equipment', meter: 'a reading with a meter' };
  const typed = typedHere('observation', { volts: '' }, { part: () => shown?.id ?? '' });
  const reading = $derived(Number(typed.volts.replace(',', '.')));
  const readingHolds = $derived(
    typed.volts.trim() !== '' && Number.isFinite(reading) && Math.abs(reading) <= 1000
  );

  function answer(value: string | number): void {
    if (!shown) return;
    place.session.edit(observe(place.job, place.thermostat.id, shown.id, value));
    picked = null;
    emptied(typed);
  }
</script>

<section class="sheet-of-paper p-4" aria-label="Next observation">
  {#if shown}
    <p class="quiet text-sm">
      {shown === next?.evidence ? `Helps most now · ${efforts[shown.effort]}${opens}` : efforts[shown.effort]}
    </p>
    <h2 class="section-title mt-0.5 mb-1">{say(shown.ask)}</h2>
    <p class="mb-3"><Explained text={shown.how} /></p>
    {#if shown.kind === 'measured'}
      <form
        class="flex items-end gap-2"
        onsubmit={(event) => {
          event.preventDefault();
          if (readingHolds) answer(reading);
        }}
      >
        <label class="flex flex-1 flex-col gap-1 text-sm"
          >Volts AC
          <input class="input w-full" inputmode="decimal" bind:value={typed.volts} />
        </label>
        <button class="btn btn-primary" disabled={!readingHolds}>Record</button>
      </form>
    {:else if shown.kind === 'read'}
      <a class="btn btn-primary" href="/job/{place.job.id}/{place.thermostat.id}/sheet"
        >Record it under Wires</a
      >
    {:else}
      <div class="flex flex-col gap-2">
        {#each shown.values as value (value.value)}
          {@const outcome =
            shown === next?.evidence
              ? next.answers.find((answer) => answer.value.value === value.value)
              : undefined}
          <button
            type="button"
            class="btn btn-outline h-auto min-h-12 justify-between gap-3 py-2 text-left font-semibold"
            onclick={() => answer(value.value)}
          >
            <span>{say(value.label)}</span>
            {#if outcome}<span class="text-xs font-normal"
                >then {outcome.top === 'unknown' ? 'something else' : FAMILY_NAMES[outcome.top]}
                {percentText(outcome.probability)}</span
              >{/if}
          </button>
        {/each}
      </div>
    {/if}
  {:else}
    <h2 class="section-title">Nothing more to find out by looking</h2>
    <p>Looking will not tell you more than you have recorded. Still check with a meter before you start.</p>
  {/if}
  {#if later.length > 0}
    <label class="mt-4 flex flex-col gap-1 text-sm"
      >Or answer another
      <select
        class="select w-full"
        value={picked ?? ''}
        onchange={(event) => (picked = event.currentTarget.value || null)}
      >
        <option value="">{next ? 'the one that helps most' : 'choose a question'}</option>
        {#each later as question (question.id)}<option value={question.id}>{say(question.ask)}</option>{/each}
      </select>
    </label>
  {/if}
</section>

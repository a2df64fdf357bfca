<script lang="ts">
  /** Stages, reversing valve, supplies, who runs the blower: each with its own doubt and what would settle it. */
  import { observe } from '$core/job/choices';
  import { TRAIT_QUESTIONS } from '$core/identify/traits/registry';
  import { percentText } from '$core/trade/figures';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const traits = $derived(place.identification.traits);
  const questionOf = (id: string) => TRAIT_QUESTIONS.find((question) => question.trait === id);
</script>

{#if traits.length > 0}
  <section class="sheet-of-paper p-4">
    <h2 class="section-title mb-2">What else it is</h2>
    <ul class="flex flex-col">
      {#each traits as trait (trait.id)}
        {@const top = trait.values.reduce((best, value) =>
          value.probability > best.probability ? value : best
        )}
        {@const question = questionOf(trait.id)}
        <li class="border-b border-base-300 py-2 last:border-none" data-trait={trait.id}>
          <div class="flex items-baseline justify-between gap-3">
            <span
              ><span class="quiet">{trait.name}:</span>
              <b>{trait.decided === null ? 'not settled' : top.label}</b></span
            >
            <span class="quiet text-sm"
              >{trait.values
                .map((value) => `${value.label} ${percentText(value.probability)}`)
                .join(', ')}</span
            >
          </div>
          {#if trait.clues.length > 0 || trait.decided === null}
            <details class="text-sm">
              <summary>{trait.decided === null ? 'What would settle it' : 'Why?'}</summary>
              <ul class="list-disc pl-5">
                {#each trait.clues as clue (clue.sentence)}<li>{say(clue.sentence)}</li>{/each}
              </ul>
              {#if trait.decided === null}<p class="mt-1">{trait.settle}</p>{/if}
              {#if question}
                <p class="mt-2 mb-1 font-semibold">{question.ask}</p>
                <p class="mb-2">{question.how}</p>
                <div class="flex flex-wrap gap-2">
                  {#each question.values as value (value.value)}
                    {@const picked = place.thermostat.observed[question.id] === value.value}
                    <button
                      type="button"
                      class="btn btn-sm {picked ? 'btn-neutral' : 'btn-outline'}"
                      aria-pressed={picked}
                      onclick={() =>
                        place.session.edit(
                          observe(place.job, place.thermostat.id, question.id, picked ? null : value.value)
                        )}>{value.label}</button
                    >
                  {/each}
                </div>
              {/if}
            </details>
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}

<script lang="ts">
  /** Ways that nobody can judge yet: what has to be looked at, each once, and the ways that wait for it. */
  import CircleQuestionMark from '@lucide/svelte/icons/circle-question-mark';
  import { factKey } from '$core/findings/finding';
  import type { MethodId } from '$core/trade/vocabulary';
  import { counted } from '$core/words/text';
  import { findingWords } from '../reasons/finding-words.svelte';
  import WhyFacts from '../reasons/why-facts.svelte';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  /** Stops that stand above on the page already. */
  const { sharedKeys }: { sharedKeys: ReadonlySet<string> } = $props();
  const place = getPlace();
  const plan = $derived(place.plan);
  const optionOf = (method: MethodId) => plan.options.find((option) => option.method === method);
</script>

{#if plan.waiting.length > 0}
  <section class="sheet-of-paper p-4" aria-labelledby="waiting-title" data-waiting>
    <h2 id="waiting-title" class="section-title">{plan.undecided ? 'Not decided yet' : 'Not known yet'}</h2>
    <p class="quiet mb-2">
      {plan.undecided ? 'No way can be judged before this is known.' : 'These ways wait for a look.'}
    </p>
    <ul class="flex flex-col divide-y divide-base-300">
      {#each plan.waiting as { question, methods } (factKey(question))}
        <li class="flex gap-2 py-2" data-code={question.code}>
          <span class="mt-0.5 flex-none"><CircleQuestionMark size={18} aria-hidden="true" /></span>
          <div class="min-w-0 flex-1">
            {#if sharedKeys.has(factKey(question))}
              <p>What is asked above.</p>
            {:else}
              <p>{say(findingWords(question, place.job.units))}</p>
              {#if question.because.length > 0}<WhyFacts refs={question.because} />{/if}
            {/if}
            <details class="mt-1">
              <summary class="cursor-pointer py-1"
                >{counted(methods.length, 'way waits', 'ways wait')} for it</summary
              >
              <ul class="flex flex-col gap-2 pt-1">
                {#each methods as method (method)}
                  <li data-method={method}>
                    <b class="block">{optionOf(method)?.title}</b>
                    <span class="quiet">{optionOf(method)?.how}</span>
                  </li>
                {/each}
              </ul>
            </details>
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}

<script lang="ts">
  /** The quick look: a first answer in less than ten touches, without a job. */
  import Check from '@lucide/svelte/icons/check';
  import { goto } from '$app/navigation';
  import { makeId } from '$core/job/ids';
  import type { QuickAnswer } from '$core/plan/quick-answer';
  import { jobOfLook, NOTHING_SEEN, QUICK_QUESTIONS, type QuickLook } from '$core/survey/quick-look';
  import { ask } from '$lib/bench/thread';
  import Letters from '$lib/home/letters.svelte';
  import Answer from '$lib/home/answer.svelte';
  import { keepJob, unitsOf } from '$lib/home/keep-job';
  import { freshRest } from '$lib/state/store';
  import Term from '$lib/words/term.svelte';

  let look = $state.raw<QuickLook>(NOTHING_SEEN);
  let answer = $state.raw<QuickAnswer | null>(null);
  let trouble = $state('');
  const job = $derived(jobOfLook(look, makeId('job', 'quick-look'), 'My house'));

  $effect(() => {
    const [place] = job.thermostats;
    if (!place) return undefined;
    return ask('quick', { job, thermostat: place.id }, (found, why) => {
      if (found !== null) answer = found;
      trouble = why;
    });
  });

  function answerWith(id: string, value: string): void {
    const { [id]: before, ...others } = look.answers;
    look = { ...look, answers: before === value ? others : { ...others, [id]: value } };
  }

  async function keep(): Promise<void> {
    const made = {
      ...jobOfLook(look, makeId('job', freshRest()), 'My house'),
      units: unitsOf(navigator.language)
    };
    const kept = await keepJob(made);
    if (kept.ok) await goto(`/job/${kept.id}/${made.thermostats[0]?.id}/sheet`);
    else trouble = `The job was not stored: ${kept.why}`;
  }
</script>

<svelte:head><title>Quick look · Ulterum</title></svelte:head>

<main class="mx-auto flex max-w-3xl flex-col gap-4 px-4 pt-3 pb-16">
  <p><a class="quiet underline" href="/">Ulterum</a></p>
  <div>
    <h1 class="station-title">Do I have a C wire?</h1>
    <div class="mb-2">What is a <Term id="c-wire" />?</div>
    <p class="quiet">
      Switch the heating and cooling off at the breakers. Take the cover off the old thermostat. Do not loosen
      a wire.
    </p>
  </div>

  <section class="sheet-of-paper p-4" aria-label="The wires"><Letters bind:look /></section>

  <section class="sheet-of-paper flex flex-col gap-4 p-4" aria-label="The house">
    {#each QUICK_QUESTIONS as question (question.id)}
      <div role="group" aria-labelledby="ask-{question.id}">
        <h2 id="ask-{question.id}" class="section-title mb-2">{question.ask}</h2>
        <div class="flex flex-wrap gap-2">
          {#each question.values as { value, label } (value)}
            {@const on = look.answers[question.id] === value}
            <button
              type="button"
              class="btn h-auto min-h-12 max-w-full py-2 text-left whitespace-normal"
              class:btn-neutral={on}
              class:btn-outline={!on}
              aria-pressed={on}
              onclick={() => answerWith(question.id, value)}
              >{#if on}<Check size={18} aria-hidden="true" />{/if}{label}</button
            >
          {/each}
        </div>
      </div>
    {/each}
  </section>

  {#if trouble}<p role="alert">{trouble}</p>{/if}
  {#if answer}<Answer {answer} />{/if}
  {#if look.letters.length > 0}
    <div class="sheet-of-paper flex flex-wrap items-center gap-3 p-4">
      <p class="min-w-0 flex-1 basis-56">Keep what you have answered, and go on from there.</p>
      <button type="button" class="btn btn-primary" onclick={keep}>Keep this as a job</button>
    </div>
  {/if}
</main>

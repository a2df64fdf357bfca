<script lang="ts">
  /** Station: find out why. What needs no open cover comes first; a tester on the strip only for somebody competent. */
  import { triedCode } from '$core/diagnose/mains/causes';
  import { PROBE_WORDS } from '$core/diagnose/mains/looks';
  import { TRIED_STILL } from '$core/diagnose/tried-code';
  import { clearSeen, seeMains } from '$core/job/mains-after-edits';
  import { percentText } from '$core/trade/figures';
  import MainsPage from '$lib/mains/mains-page.svelte';
  import { getPlace } from '$lib/state/context';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const id = $derived(place.thermostat.id);
  const SHOWN = 5;
</script>

<MainsPage
  title="Find out why"
  intro="One look at a time, the one that tells most first. Covers stay on: what gets warm, what runs, what a lever does."
>
  {#snippet body(mains, { diagnosis })}
    {#if diagnosis.next}
      {@const { look } = diagnosis.next}
      <section class="sheet-of-paper p-4" aria-label="Next look" data-look={look.id}>
        <p class="quiet text-sm">With {PROBE_WORDS[look.probe]}:</p>
        <h2 class="section-title">{look.ask}</h2>
        <p class="mb-2">{say(look.how)} <span class="quiet text-sm">About {look.minutes} min.</span></p>
        <div class="flex flex-wrap gap-2">
          {#each look.answers as answer (answer.value)}
            <button
              type="button"
              class="btn btn-outline h-auto min-h-11 py-2"
              onclick={() => place.session.edit(seeMains(place.job, id, look.id, answer.value))}
              >{answer.label}</button
            >
          {/each}
        </div>
      </section>
    {/if}
    {#if diagnosis.settled}
      {@const top = diagnosis.settled}
      {@const tried = top.causes[0] ? triedCode(top.causes[0]) : null}
      <section class="sheet-of-paper border-2 p-4" aria-label="Remedy" data-cause={top.causes[0]?.id}>
        <h2 class="section-title">Most likely: {say(top.causes[0]?.text ?? '')}</h2>
        <p>{say(top.causes[0]?.remedy ?? '')}</p>
        {#each top.causes.slice(1, SHOWN) as cause (cause.id)}
          <p class="mt-1 text-sm">
            Or, and no look from outside tells it apart: {say(cause.text)}
            {say(cause.remedy)}
          </p>
        {/each}
        {#if tried !== null}
          <button
            type="button"
            class="btn btn-outline no-print mt-3 h-auto min-h-11 py-2"
            onclick={() => place.session.edit(seeMains(place.job, id, tried, TRIED_STILL))}
            >Done, and it is as before</button
          >
        {/if}
      </section>
    {/if}
    {#if diagnosis.sound}
      <p class="sheet-of-paper p-4" role="status">
        Sound wiring would show just what you saw: nothing seen so far says that anything is wrong.
      </p>
    {/if}
    <section class="sheet-of-paper p-4" aria-label="Causes">
      <h2 class="section-title mb-2">Possible causes</h2>
      <ol class="flex flex-col gap-2">
        {#each diagnosis.causes.slice(0, SHOWN) as { causes, probability }, at (at)}
          <li class="grid grid-cols-[3.5rem_1fr] gap-2">
            <b class="text-right">{percentText(probability)}</b>
            <span
              >{say(causes[0]?.text ?? '')}{#if causes.length > 1}&ensp;<span class="quiet text-sm"
                  >or {causes.length - 1} more that look the same from outside</span
                >{/if}</span
            >
          </li>
        {/each}
      </ol>
    </section>
    {#if Object.keys(mains.seen).length > 0}
      <section class="sheet-of-paper p-4" aria-label="Seen">
        <h2 class="section-title mb-2">Seen</h2>
        <ul class="flex flex-col gap-1">
          {#each diagnosis.looks.filter((look) => mains.seen[look.id] !== undefined) as look (look.id)}
            <li class="flex items-center justify-between gap-2">
              <span
                >{look.ask}
                <b>{look.answers.find(({ value }) => value === mains.seen[look.id])?.label}</b>
                <span class="quiet text-sm">({PROBE_WORDS[look.probe]})</span></span
              >
              <button
                type="button"
                class="btn btn-ghost btn-sm flex-none"
                aria-label="Take back: {look.ask}"
                onclick={() => place.session.edit(seeMains(place.job, id, look.id, null))}>Take back</button
              >
            </li>
          {/each}
          {#each diagnosis.tried as cause (cause.id)}
            <li class="flex items-center justify-between gap-2">
              <span>Put right, and it was as before: <b>{say(cause.text)}</b></span>
              <button
                type="button"
                class="btn btn-ghost btn-sm flex-none"
                aria-label="Take back: {cause.text}"
                onclick={() => place.session.edit(seeMains(place.job, id, triedCode(cause) ?? '', null))}
                >Take back</button
              >
            </li>
          {/each}
        </ul>
        <button
          type="button"
          class="btn btn-outline btn-sm mt-2"
          onclick={() => place.session.edit(clearSeen(place.job, id))}>Start again</button
        >
      </section>
    {/if}
  {/snippet}
</MainsPage>

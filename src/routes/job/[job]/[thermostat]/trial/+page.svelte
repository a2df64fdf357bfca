<script lang="ts">
  /** Station: set the controller up, then try each state by itself. */
  import { recordMainsTest, seeMains, setMainsSetting } from '$core/job/mains-after-edits';
  import type { MainsTest } from '$core/job/mains-schema';
  import MainsPage from '$lib/mains/mains-page.svelte';
  import { clock } from '$lib/state/clock.svelte';
  import { getPlace } from '$lib/state/context';
  import { moment, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const id = $derived(place.thermostat.id);
  const now = () => new Date(clock.now).toISOString();
  const RESULTS: readonly (readonly [MainsTest['result'], string])[] = [
    ['good', 'As it should'],
    ['bad', 'Not as it should'],
    ['put-off', 'Later'],
    ['cannot', 'Cannot be tried']
  ];
  const WORDS = Object.fromEntries(RESULTS) as Record<MainsTest['result'], string>;
</script>

<MainsPage
  title="Set up and test"
  intro="Covers on. First what the controller has to be told, then each state by itself: what must run, and what must not."
>
  {#snippet body(mains, view)}
    {@const lamp = view.diagnosis.looks.find((look) => look.id.startsWith('lamp-'))}
    <section class="sheet-of-paper p-4" aria-label="Power up">
      <h2 class="section-title mb-1">Power up</h2>
      <ol class="list-decimal pl-5">
        <li>Every cover is on. The fuse is back in the spur; then its switch.</li>
        <li>Stand clear and watch for a minute: lamp, clicks, hum, smell.</li>
        <li>
          <b>A fuse that opens a second time is a short:</b> off, do not feed it a third. Smell, smoke or a hum
          that does not end: off, stop.
        </li>
      </ol>
      {#if lamp}
        <p class="mt-2">{lamp.ask}</p>
        <div class="no-print mt-1 flex flex-wrap gap-2">
          {#each lamp.answers as answer (answer.value)}
            <button
              type="button"
              class="btn btn-sm {mains.seen[lamp.id] === answer.value ? 'btn-primary' : 'btn-outline'}"
              aria-pressed={mains.seen[lamp.id] === answer.value}
              aria-label="Lamp lit: {answer.label}"
              onclick={() => place.session.edit(seeMains(place.job, id, lamp.id, answer.value))}
              >{answer.label}</button
            >
          {/each}
          {#if mains.seen[lamp.id] === 'no'}<a class="btn btn-sm btn-outline" href="fault">Find out why</a
            >{/if}
        </div>
      {/if}
    </section>
    <section class="sheet-of-paper p-4" aria-label="Set up">
      <h2 class="section-title mb-2">Set up</h2>
      {#if view.settings.length === 0}<p class="quiet">Choose a controller first.</p>{/if}
      <ul class="flex flex-col divide-y divide-base-300">
        {#each view.settings as setting (setting.id)}
          <li class="py-1" data-setting={setting.id}>
            <label class="flex min-h-11 cursor-pointer items-start gap-3 py-1.5">
              <input
                type="checkbox"
                class="checkbox mt-0.5 flex-none"
                checked={setting.made !== null}
                onchange={(event) =>
                  place.session.edit(
                    setMainsSetting(place.job, id, setting.id, event.currentTarget.checked ? now() : null)
                  )}
              /><span
                ><b>{setting.name}: {setting.value}</b><span class="quiet block text-sm"
                  >{say(setting.reason)}</span
                ></span
              >
            </label>
          </li>
        {/each}
      </ul>
    </section>
    <ol class="flex flex-col gap-3">
      {#each view.tests as test, at (test.row)}
        <li class="sheet-of-paper p-4" data-test={test.row} data-result={test.result?.result ?? 'none'}>
          <h2 class="section-title">{at + 1}. {test.name}</h2>
          <p>{say(test.how)}</p>
          <p>
            <b>Must run:</b>
            {test.mustRun.join(', ') || 'nothing'}. <b>Must not:</b>
            {test.mustNot.join(', ') || '–'}.
          </p>
          <p class="quiet text-sm">{test.wait} Supply {test.volts.least} to {test.volts.most} V.</p>
          <p class="quiet text-sm"><b>Stop:</b> {test.stopWhen}</p>
          <div class="no-print mt-2 flex flex-wrap gap-2">
            {#each RESULTS as [result, text] (result)}
              <button
                type="button"
                class="btn btn-sm {test.result?.result === result ? 'btn-primary' : 'btn-outline'}"
                aria-pressed={test.result?.result === result}
                aria-label="{test.name}: {text}"
                onclick={() =>
                  place.session.edit(
                    recordMainsTest(place.job, id, {
                      row: test.row,
                      result,
                      at: now(),
                      until: null,
                      note: ''
                    })
                  )}>{text}</button
              >
            {/each}
          </div>
          {#if test.result?.result === 'put-off'}
            <label class="no-print mt-2 flex w-48 flex-col gap-1 text-sm"
              >Until
              <input
                type="date"
                class="input"
                value={test.result.until ?? ''}
                onchange={(event) =>
                  place.session.edit(
                    recordMainsTest(place.job, id, {
                      row: test.row,
                      result: 'put-off',
                      at: now(),
                      until: event.currentTarget.value || null,
                      note: ''
                    })
                  )}
              /></label
            >
          {/if}
          {#if test.result?.result === 'bad' && test.probe !== null}
            {@const looks = view.diagnosis.looks.filter(
              ({ id: look, probe }) => probe === test.probe && /^(boiler|pump|radiators|cylinder)@/.test(look)
            )}
            <fieldset class="no-print mt-2 border-t border-base-300 pt-2">
              <legend class="sr-only">{test.name}: what was seen</legend>
              <p class="text-sm">What was it? It goes to Find out why.</p>
              {#each looks as look (look.id)}
                <div class="mt-1 flex flex-wrap items-center gap-2">
                  <span class="min-w-56 text-sm">{look.ask}</span>
                  {#each look.answers as answer (answer.value)}
                    <button
                      type="button"
                      class="btn btn-sm {mains.seen[look.id] === answer.value
                        ? 'btn-primary'
                        : 'btn-outline'}"
                      aria-pressed={mains.seen[look.id] === answer.value}
                      aria-label="{test.name}: {look.ask} {answer.label}"
                      onclick={() => place.session.edit(seeMains(place.job, id, look.id, answer.value))}
                      >{answer.label}</button
                    >
                  {/each}
                </div>
              {/each}
            </fieldset>
          {/if}
          {#if test.result}
            <p class="mt-1 text-sm" role="status">
              {WORDS[test.result.result]}, {moment(test.result.at)}.
              {#if test.result.result === 'bad'}<a class="underline" href="fault">Find out why</a>{/if}
            </p>
          {/if}
        </li>
      {/each}
    </ol>
  {/snippet}
</MainsPage>

<script lang="ts">
  /** Station: which controller, and what it replaces; proven over every state. */
  import { chooseController, chooseMainsWay, removeController } from '$core/job/mains-edits';
  import type { ControllerId } from '$core/job/ids';
  import { controllerName } from '$core/match/mains/controllers';
  import type { MainsControls } from '$core/job/mains-schema';
  import type { ControllerHere } from '$core/plan/mains/controllers-here';
  import type { MainsWay } from '$core/plan/mains/plan';
  import { MAINS_METHOD_NAMES } from '$core/trade/mains';
  import { FIT_WORDS, soFarWords } from '$lib/device/words';
  import ControllerForm from '$lib/mains/controller-form.svelte';
  import MainsFindings from '$lib/mains/mains-findings.svelte';
  import MainsPage from '$lib/mains/mains-page.svelte';
  import TruthTable from '$lib/mains/truth-table.svelte';
  import { variantText } from '$lib/mains/variant-text';
  import VerdictMark from '$lib/reasons/verdict-mark.svelte';
  import { getPlace } from '$lib/state/context';
  import { money } from '$lib/words/manner.svelte';

  const place = getPlace();
  const id = $derived(place.thermostat.id);
  let form = $state(false);

  const pick = (controller: ControllerId) => place.session.edit(chooseController(place.job, id, controller));
  const take = (way: MainsWay) =>
    place.session.edit(
      chooseMainsWay(place.job, id, {
        controller: way.facts?.id ?? null,
        method: way.method,
        variant: way.variant.id
      })
    );
  const findingsOf = ({ methods, fits }: ControllerHere) =>
    (methods.find(({ method }) => method === fits) ?? methods[0])?.findings ?? [];
  const ORDER: readonly ControllerHere['fits'][] = ['replace-both', 'replace-timer', 'single-channel', null];
  /** What takes the place of most comes first; in that, what fits without a caution. */
  const sorted = (matches: readonly ControllerHere[]) =>
    [...matches].sort(
      (a, b) =>
        ORDER.indexOf(a.fits) - ORDER.indexOf(b.fits) || Number(a.own === 'care') - Number(b.own === 'care')
    );
  /** Where no timer is, one channel stands beside nothing. */
  const fitsFor = ({ devices }: MainsControls, fits: NonNullable<ControllerHere['fits']>) =>
    ({
      'replace-both': 'instead of timer and thermostat',
      'replace-timer': 'instead of the timer',
      'single-channel': devices.some(({ part }) => part === 'timer')
        ? 'for one zone beside the timer only'
        : 'instead of the room thermostat'
    })[fits];
</script>

<MainsPage
  title="Controller"
  intro="One controller instead of timer and room thermostat: what fits this layout, what it replaces, and what the house does afterwards."
>
  {#snippet body(mains, { plan })}
    {@const until = (way: MainsWay) =>
      way.method === 'keep' && plan.waiting.length > 0 && way.verdict !== 'no'}
    {#if plan.waiting.length > 0}
      <section class="sheet-of-paper p-4" aria-labelledby="waiting-title" data-waiting>
        <h2 id="waiting-title" class="section-title">Not decided yet</h2>
        <p class="quiet mb-2">What a controller may replace can be judged once this is known.</p>
        <MainsFindings findings={plan.waiting} />
      </section>
    {/if}

    <section class="sheet-of-paper p-4" aria-label="Controllers">
      <h2 class="section-title mb-2">Which one</h2>
      <p class="quiet mb-2 text-sm">Makers and models are invented. Enter your own from its sheet below.</p>
      <ul class="flex flex-col divide-y divide-base-300">
        {#each sorted(plan.matches) as match (match.facts.id)}
          {@const chosen = plan.controller?.id === match.facts.id}
          <li class="py-2" data-controller={match.facts.id}>
            <details open={chosen}>
              <summary class="flex cursor-pointer flex-wrap items-center gap-x-3 gap-y-1">
                <VerdictMark
                  verdict={match.verdict}
                  words={match.known === 'read' ? FIT_WORDS : soFarWords(match.own === 'care')}
                  waits={match.closing === 'asks'}
                />
                <b>{controllerName(match.facts)}</b>
                <span class="quiet text-sm"
                  >{match.fits === null ? '' : `${fitsFor(mains, match.fits)}; `}{match.facts.channels === 1
                    ? 'one channel'
                    : 'two channels'}{match.facts.price === null
                    ? ''
                    : `, ${money(match.facts.price)}`}{chosen
                    ? mains.choice.controller === match.facts.id
                      ? ' · chosen'
                      : ' · best so far'
                    : ''}</span
                >
              </summary>
              <div class="mt-2 flex flex-col gap-2">
                <p class="text-sm">
                  Terminals: {match.facts.plate.map(({ mark }) => mark).join(' ')}. Heating contact {match
                    .facts.heatingContact === 'linked'
                    ? 'fed inside'
                    : 'volt-free'}{match.facts.waterContact === null
                    ? ''
                    : `, hot-water contact ${match.facts.waterContact === 'linked' ? 'fed inside' : 'volt-free'}`};
                  wall part
                  {match.facts.wallPart === 'wireless'
                    ? 'by radio'
                    : match.facts.wallPart === 'none'
                      ? 'in the box'
                      : 'on two wires of low voltage'}.
                </p>
                <MainsFindings findings={findingsOf(match)} fold />
                <div class="flex gap-2">
                  <button
                    type="button"
                    class="btn btn-outline btn-sm"
                    disabled={mains.choice.controller === match.facts.id}
                    onclick={() => pick(match.facts.id)}>Take {controllerName(match.facts)}</button
                  >
                  {#if mains.controllers.some((own) => own.id === match.facts.id)}
                    <button
                      type="button"
                      class="btn btn-ghost btn-sm"
                      onclick={() => place.session.edit(removeController(place.job, id, match.facts.id))}
                      >Take it out of the record</button
                    >
                  {/if}
                </div>
              </div>
            </details>
          </li>
        {/each}
      </ul>
      {#if form}
        <ControllerForm {mains} onclose={() => (form = false)} />
      {:else}
        <button type="button" class="btn btn-outline btn-sm mt-2" onclick={() => (form = true)}
          >Enter one from its sheet</button
        >
      {/if}
    </section>

    <section class="sheet-of-paper p-4" aria-label="Ways">
      <h2 class="section-title mb-2">
        What it replaces{plan.controller ? `: ${controllerName(plan.controller)}` : ''}
      </h2>
      {#if plan.controller === null}<p class="mb-2">No controller is known to fit here yet.</p>{/if}
      <ul class="flex flex-col divide-y divide-base-300">
        {#each plan.ways as way (`${way.method} ${way.variant.id}`)}
          {@const taken = plan.taken === way}
          <li class="py-3" data-way="{way.method} {way.variant.id}" data-taken={taken}>
            <div class="flex flex-wrap items-center justify-between gap-2">
              <p class="min-w-0">
                {#if until(way)}<span class="quiet block text-sm">Until then</span>{:else}<VerdictMark
                    verdict={way.verdict}
                    waits={way.closing === 'asks'}
                  />{/if}
                <b class="block">{MAINS_METHOD_NAMES[way.method]}</b>
                <span class="quiet text-sm"
                  >{variantText(way, plan.found)}{way.moves.length === 0
                    ? ''
                    : `${variantText(way, plan.found) === '' ? '' : '; '}about ${way.effort.minutes[1]} min`}</span
                >
              </p>
              <button
                type="button"
                class="btn btn-sm {taken && !until(way) ? 'btn-primary' : 'btn-outline'}"
                disabled={way.verdict === 'no' || (taken && mains.choice.method !== null)}
                aria-label="Take this way: {MAINS_METHOD_NAMES[way.method]}, {variantText(way, plan.found)}"
                onclick={() => take(way)}
                >{taken && mains.choice.method !== null ? 'Taken' : 'Take this way'}</button
              >
            </div>
            {#if way.findings.length > 0 || (taken && way.table && way.method !== 'keep')}
              <details class="mt-1" open={taken}>
                <summary class="quiet cursor-pointer py-1 text-sm">Why, and what it does</summary>
                <div class="flex flex-col gap-2">
                  <MainsFindings findings={way.findings} fold />
                  {#if taken && plan.table && way.table && way.method !== 'keep'}
                    <TruthTable found={plan.found} before={plan.table} after={way.table} />
                  {/if}
                </div>
              </details>
            {/if}
          </li>
        {/each}
      </ul>
    </section>
  {/snippet}
</MainsPage>

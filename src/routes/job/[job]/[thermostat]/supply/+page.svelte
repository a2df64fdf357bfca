<script lang="ts">
  /** Station: choose the supply. */
  import { factKey, type Finding } from '$core/findings/finding';
  import { chooseMethod } from '$core/job/choices';
  import { deviceName } from '$core/match/catalogue';
  import { lookText } from '$core/plan/look-words';
  import { isTooMuchTogether } from '$core/plan/outlook';
  import type { Closing } from '$core/plan/undecided';
  import type { MethodId } from '$core/trade/vocabulary';
  import Minds from '$lib/supply/minds.svelte';
  import { MistakesByWay } from '$lib/supply/mistakes.svelte';
  import Explained from '$lib/words/explained.svelte';
  import WaysTable from '$lib/supply/ways-table.svelte';
  import ClosedWay from '$lib/supply/closed-way.svelte';
  import OptionCard from '$lib/supply/option-card.svelte';
  import WaitingWays from '$lib/supply/waiting-ways.svelte';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import { getPlace } from '$lib/state/context';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const plan = $derived(place.plan);
  const titleOf = (method: MethodId) =>
    plan.options.find((option) => option.method === method)?.title ?? method;
  /** Ways that are unfolded. */
  let opened = $state.raw<Partial<Record<MethodId, boolean>>>({});
  const mistakes = new MistakesByWay();
  $effect(() => {
    const current = plan;
    // The ranking first; the longer work fills in behind it.
    const timer = setTimeout(() => void mistakes.count(current), 150);
    return () => {
      clearTimeout(timer);
      mistakes.cancel();
    };
  });
  const sharing = $derived(
    place.job.thermostats.filter(
      (candidate) =>
        candidate.id !== place.thermostat.id &&
        candidate.equipment.some((id) => place.thermostat.equipment.includes(id))
    )
  );
  const tooMuch = $derived(isTooMuchTogether(plan.options));
  const offered = $derived(plan.options.filter((option) => option.verdict !== 'no'));
  const closedBy = (what: Closing['what']) => plan.options.filter(({ closing }) => closing?.what === what);
  const ofDevice = $derived(closedBy('device'));
  const refused = $derived(closedBy('settled'));
  const shared = $derived(place.identification.findings.filter((finding) => finding.level === 'stop'));
  const sharedKeys = $derived(new Set(shared.map(factKey)));
  const same = (findings: readonly Finding[]) =>
    shared.length > 0 && findings.every((finding) => sharedKeys.has(factKey(finding)));
</script>

<svelte:head><title>C wire · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">C wire</h1>
    <p class="quiet">
      <Explained
        text="Ways to give {plan.assumedDevice
          ? 'a connected thermostat (none is chosen yet)'
          : deviceName(
              plan.device
            )} a C wire, or to do without. Each was solved as a circuit, before and after the work."
      />
    </p>
  </div>
  {#if shared.length > 0}<section class="sheet-of-paper p-4"><FindingList findings={shared} /></section>{/if}

  {#if plan.today.length > 0}
    <section class="sheet-of-paper p-4" aria-labelledby="today-title">
      <h2 id="today-title" class="section-title mb-2">Wrong already, before anything is done</h2>
      <FindingList findings={plan.today} />
    </section>
  {/if}

  {#if sharing.length > 0}
    <p class="sheet-of-paper px-4 py-3">
      {sharing.map((other) => other.name).join(', ')}
      {sharing.length === 1 ? 'hangs' : 'hang'} on the same machine: what they draw counts here too.
      {#if tooMuch}<b
          >Together they ask for more than its transformer gives, though this one alone would do: wired ways
          are closed until that is settled.</b
        >{/if}
      See <a class="underline" href="together">All together</a>.
    </p>
  {/if}

  {#if plan.undecided}<WaitingWays {sharedKeys} />{/if}

  <WaysTable
    ways={offered}
    best={plan.recommended}
    mistakes={mistakes.counts}
    units={place.job.units}
    before={plan.wiringNow}
    onopen={(method) => (opened = { ...opened, [method]: true })}
  />

  <ol class="flex flex-col gap-3" aria-label="Ways that are open, best first">
    {#each offered as option, index (option.method)}
      <OptionCard
        {option}
        mistakes={mistakes.counts[option.method] ?? null}
        best={option.method === plan.recommended}
        meanwhile={plan.undecided && option.method === plan.recommended}
        bind:open={
          () => opened[option.method] ?? false, (open) => (opened = { ...opened, [option.method]: open })
        }
        number={index + 1}
        chosen={place.thermostat.choice.method === option.method}
        onchoose={(method, variant) =>
          place.session.edit(chooseMethod(place.job, place.thermostat.id, method, variant))}
      />
    {/each}
  </ol>

  {#if !plan.undecided}<WaitingWays {sharedKeys} />{/if}

  {#if place.looks.length > 0}
    <section class="sheet-of-paper p-4" aria-labelledby="look-title">
      <h2 id="look-title" class="section-title mb-2">Look first</h2>
      <ol class="list-decimal pl-5">
        {#each place.looks.slice(0, 3) as look, at (at)}
          <li>
            {say(lookText(look.at))}
            {#if look.opens}<span class="quiet">It may open: {titleOf(look.opens)}.</span>{/if}
          </li>
        {/each}
      </ol>
    </section>
  {/if}

  <Minds />

  {#if ofDevice.length > 0}
    <section class="sheet-of-paper p-4">
      <h2 class="section-title mb-2">Depends on the thermostat you choose</h2>
      {#each ofDevice as option (option.method)}<ClosedWay {option} {same} />{/each}
    </section>
  {/if}

  {#if refused.length > 0}
    <section class="sheet-of-paper p-4">
      <h2 class="section-title mb-2">Not this way, and why</h2>
      {#each refused as option (option.method)}<ClosedWay {option} {same} />{/each}
    </section>
  {/if}
</div>

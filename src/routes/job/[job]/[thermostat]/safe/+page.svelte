<script lang="ts">
  /** Station: make safe. */
  import ShieldCheck from '@lucide/svelte/icons/shield-check';
  import ShieldAlert from '@lucide/svelte/icons/shield-alert';
  import type { YesNo } from '$core/job/survey-schema';
  import { OLD_THERMOSTAT_QUESTIONS } from '$core/questions/wall-questions';
  import QuestionField from '$lib/questions/question-field.svelte';
  import FindingList from '$lib/reasons/finding-list.svelte';
  import Explained from '$lib/words/explained.svelte';
  import StopList from '$lib/safety/stop-list.svelte';
  import SupplyList from '$lib/safety/supply-list.svelte';
  import { getPlace } from '$lib/state/context';
  import { setThermostat } from '$lib/state/set';

  const place = getPlace();
  const safety = $derived(place.safety);
  const findings = $derived(safety.findings.filter((finding) => finding.code !== 'stop-answered'));
</script>

<svelte:head><title>Power off · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">Power off</h1>
    <p class="flex items-center gap-2 text-lg font-semibold" role="status" data-safe={safety.safe}>
      {#if safety.safe}<ShieldCheck size={24} aria-hidden="true" />Everything answered, every supply off and
        proven.{:else if safety.locked}<ShieldAlert size={24} aria-hidden="true" />A stop is open: no
        instruction is given.{:else}<ShieldAlert size={24} aria-hidden="true" />Not safe yet.{/if}
    </p>
  </div>
  <p class="quiet">
    <Explained
      text="Three things first: is it safe to look, is every breaker and switch off, and does a meter prove it? Only then is a cover taken off."
    />
  </p>
  <StopList />
  <SupplyList />
  <section class="sheet-of-paper p-4">
    <h2 class="section-title mb-2">The old thermostat</h2>
    <QuestionField
      question={OLD_THERMOSTAT_QUESTIONS.mercury}
      value={place.thermostat.mercury}
      onset={(value) => setThermostat(place, 'mercury', value as YesNo, 'Mercury')}
    />
  </section>
  {#if findings.length > 0}
    <section class="sheet-of-paper p-4" aria-label="What is open"><FindingList {findings} /></section>
  {/if}
</div>

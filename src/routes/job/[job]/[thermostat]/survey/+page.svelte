<script lang="ts">
  /** Station: before anything is bought. The verdict first, then one question at a time, then all that is known. */
  import { surveyCards } from '$core/questions/survey-cards';
  import ColdSection from '$lib/survey/cold-section.svelte';
  import HouseSection from '$lib/survey/house-section.svelte';
  import Inventory from '$lib/survey/inventory.svelte';
  import NextCard from '$lib/survey/next-card.svelte';
  import PathSection from '$lib/survey/path-section.svelte';
  import SavingSection from '$lib/survey/saving-section.svelte';
  import SignalSection from '$lib/survey/signal-section.svelte';
  import VerdictCard from '$lib/survey/verdict-card.svelte';
  import WallSection from '$lib/survey/wall-section.svelte';
  import { getPlace } from '$lib/state/context';
  import { askWeather } from '$lib/state/weather.svelte';

  const place = getPlace();
  const cards = $derived(surveyCards(place.job, place.thermostat));
  $effect(() => void askWeather(place.job.survey.building.weather));
</script>

<svelte:head><title>Before you buy · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">Before you buy</h1>
    <p class="quiet">Does it pay, does the signal reach, does it fit the wall, and on which day?</p>
  </div>
  <VerdictCard />
  <NextCard {cards} />
  <div class="grid items-start gap-4 xl:grid-cols-2">
    <div class="flex min-w-0 flex-col gap-4">
      <HouseSection {cards} />
      <Inventory {cards} />
    </div>
    <div class="flex min-w-0 flex-col gap-4">
      <ColdSection />
      <SavingSection />
      <SignalSection />
      <WallSection cards={cards.filter((card) => card.group === 'wall')} />
      <PathSection />
    </div>
  </div>
</div>

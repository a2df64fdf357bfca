<script lang="ts">
  /** Station: survey, before anything is bought. */
  import ColdSection from '$lib/survey/cold-section.svelte';
  import HouseForm from '$lib/survey/house-form.svelte';
  import Inventory from '$lib/survey/inventory.svelte';
  import PathSection from '$lib/survey/path-section.svelte';
  import SavingSection from '$lib/survey/saving-section.svelte';
  import SignalSection from '$lib/survey/signal-section.svelte';
  import VerdictCard from '$lib/survey/verdict-card.svelte';
  import WallSection from '$lib/survey/wall-section.svelte';
  import { getPlace } from '$lib/state/context';
  import { askWeather } from '$lib/state/weather.svelte';

  const place = getPlace();
  $effect(() => void askWeather(place.job.survey.building.weather));
</script>

<svelte:head><title>Before you buy · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4">
  <div>
    <h1 class="station-title">Before you buy</h1>
    <p class="quiet">Before anything is bought: does it pay, does it reach, does it fit, and on which day.</p>
  </div>
  <VerdictCard />
  <Inventory />
  <HouseForm />
  <div class="grid items-start gap-4 2xl:grid-cols-2">
    <ColdSection />
    <SavingSection />
    <SignalSection />
    <PathSection />
  </div>
  <WallSection />
</div>

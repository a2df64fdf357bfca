<script lang="ts">
  /** Station: set up. What the thermostat has to be told in this house, in its own words, before anything runs. */
  import { mayBeMade, type Setting } from '$core/handover/settings';
  import { makeSetting } from '$core/job/after-edits';
  import { SYSTEM_SETTINGS } from '$core/trade/setting-ids';
  import { deviceName } from '$core/match/catalogue';
  import { Finishing } from '$lib/finish/finishing.svelte';
  import PrivateFacts from '$lib/finish/private-facts.svelte';
  import SettingCard from '$lib/finish/setting-card.svelte';
  import Simulated from '$lib/power/simulated.svelte';
  import { getPlace } from '$lib/state/context';
  import Explained from '$lib/words/explained.svelte';
  import { money, say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const finishing = new Finishing(place);
  $effect(() => finishing.follow());
  const sheet = $derived(finishing.found?.settings ?? null);
  const base = $derived(`/job/${place.job.id}/${place.thermostat.id}`);
  const isSystem = ({ id }: Setting) => SYSTEM_SETTINGS.has(id);
  const groups = $derived([
    { title: 'The system', settings: sheet?.settings.filter(isSystem) ?? [] },
    {
      title: 'Then you and your network',
      settings: sheet?.settings.filter((setting) => !isSystem(setting)) ?? []
    }
  ]);
  const made = $derived(sheet?.settings.filter((setting) => setting.made !== null).length ?? 0);
  const saving = $derived(place.study.saving);
  const scheduled = $derived(sheet?.settings.some(({ id, value }) => id === 'schedule' && value !== null));

  function make(setting: Setting, value: string | null): void {
    const { session, job, thermostat } = place;
    session.edit(makeSetting(job, thermostat.id, setting.id, value, new Date().toISOString()));
  }

  function held(setting: Setting): string {
    if (!sheet || mayBeMade(sheet, setting.id)) return '';
    return setting.id === 'network' ? 'Last of all: first everything above.' : 'After the system is set.';
  }

  const askAt = (setting: Setting) => `${base}/${setting.id === 'schedule' ? 'survey' : 'system'}`;
</script>

<svelte:head><title>Set up · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="mx-auto flex max-w-3xl flex-col gap-4">
  <div>
    <h1 class="station-title">Set up</h1>
    <p class="quiet">
      <Explained text="Before anything runs: a thermostat calls for what it was told the house has." />
      {place.device ? say(deviceName(place.device)) : ''}
    </p>
  </div>
  {#if finishing.trouble}
    <section class="sheet-of-paper p-4" role="alert">
      <p class="font-semibold">There is nothing to set up yet.</p>
      <p>{finishing.trouble}</p>
    </section>
  {:else if !sheet}
    <p class="sheet-of-paper p-4" role="status">Working out what it has to be told …</p>
  {:else}
    <p role="status" class="font-semibold">
      {made} of {sheet.settings.length} set{sheet.which === 'after'
        ? '. The steps come first: this is how it will be.'
        : '.'}
    </p>
    {#each groups as group (group.title)}
      <section aria-label={group.title}>
        <h2 class="section-title mb-2">{group.title}</h2>
        <ol class="flex flex-col gap-2">
          {#each group.settings as setting (setting.id)}
            <SettingCard
              {setting}
              style={sheet.style}
              held={held(setting)}
              askAt={askAt(setting)}
              onmake={(value) => make(setting, value)}
            />
          {/each}
        </ol>
      </section>
    {/each}
    <section class="sheet-of-paper p-4" aria-label="What the schedule saves">
      <h2 class="section-title mb-1">What the schedule saves</h2>
      {#if !scheduled}
        <p>Say when somebody is home, under Before you buy: then there is a schedule, and what it saves.</p>
      {:else if saving.possible}
        <p>
          {saving.costs
            ? 'With this machine it costs more than it saves: keep one setting.'
            : `About ${money(saving.dollars.low, 0)} to ${money(saving.dollars.high, 0)} a year, by what is known of the house and the simulated weather.`}
        </p>
      {:else}
        <p>
          {say(
            saving.why ?? 'Not enough is known of the house: answer a few questions under Before you buy.'
          )}
        </p>
      {/if}
    </section>
    <section class="sheet-of-paper p-4" aria-label="Private">
      <h2 class="section-title mb-2">Private</h2>
      <PrivateFacts />
    </section>
    <section class="sheet-of-paper p-4" aria-label="Simulated thermostat">
      <h2 class="section-title mb-1">Try a setting first</h2>
      <Simulated settings={sheet.settings} />
    </section>
    <p><a class="btn btn-primary btn-lg" href="{base}/test">On to the tests</a></p>
  {/if}
</div>

<script lang="ts">
  /** Which thermostat of the job this is, and the way to the others. */
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import Plus from '@lucide/svelte/icons/plus';
  import { page } from '$app/state';
  import { LIMITS } from '$core/job/limits';
  import { getPlace, getSession } from '../state/context';
  import Dialog from './dialog.svelte';
  import OnDemand from './on-demand.svelte';

  const session = $derived(getSession()());
  const place = getPlace();
  const station = $derived(page.url.pathname.split('/')[4] ?? 'sheet');
  const together = $derived(station === 'together');
  const here = $derived(together ? 'All together' : place.thermostat.name);
  let open = $state(false);
  let adding = $state(false);
  let settings = $state(false);
</script>

<button
  type="button"
  class="flex min-h-6 max-w-full min-w-0 cursor-pointer items-center gap-1 leading-tight"
  aria-haspopup="dialog"
  aria-label="{session.job.name}, {here}. Other thermostats of this job"
  onclick={() => (open = true)}
>
  <span class="truncate font-semibold">{here}</span>
  <span class="quiet hidden truncate text-sm sm:inline">· {session.job.name}</span>
  <ChevronDown size={18} class="flex-none" aria-hidden="true" />
</button>

<Dialog {open} title={session.job.name} onclose={() => (open = false)}>
  <nav aria-label="Thermostats" class="flex flex-col gap-1">
    {#each session.job.thermostats as thermostat (thermostat.id)}
      {@const current = thermostat.id === place.thermostat.id && !together}
      <a
        class="btn justify-start"
        class:btn-neutral={current}
        class:btn-ghost={!current}
        aria-current={current ? 'true' : undefined}
        href="/job/{session.job.id}/{thermostat.id}/{together ? 'moves' : station}"
        onclick={() => (open = false)}>{thermostat.name}</a
      >
    {/each}
    {#if session.job.thermostats.length > 1}
      <a
        class="btn justify-start"
        class:btn-neutral={together}
        class:btn-ghost={!together}
        aria-current={together ? 'page' : undefined}
        href="/job/{session.job.id}/{place.thermostat.id}/together"
        onclick={() => (open = false)}>All together</a
      >
    {/if}
  </nav>
  <button
    type="button"
    class="btn btn-outline mt-3"
    disabled={session.job.thermostats.length >= LIMITS.thermostats.most}
    onclick={() => {
      open = false;
      adding = true;
    }}><Plus size={18} aria-hidden="true" />Another thermostat</button
  >
  <button
    type="button"
    class="btn btn-ghost mt-3"
    onclick={() => {
      open = false;
      settings = true;
    }}>Settings</button
  >
</Dialog>

<OnDemand
  open={settings}
  load={() => import('./settings-dialog.svelte')}
  given={{ open: true, session, onclose: () => (settings = false) }}
/>

<OnDemand
  open={adding}
  load={() => import('./another-thermostat.svelte')}
  given={{ session, onclose: () => (adding = false) }}
/>

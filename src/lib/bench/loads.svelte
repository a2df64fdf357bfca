<script lang="ts">
  /** What the call wakes: each load by a shape and a word. */
  import { LOAD_NAMES } from '$core/trade/loads';
  import type { CallResult } from '$core/circuit/simulate';
  import { voltsText } from '$core/trade/figures';

  interface Props {
    result: CallResult;
  }

  let { result }: Props = $props();
  const state = (load: CallResult['loads'][number]) =>
    load.energised ? 'runs' : load.volts > 5 ? 'hums' : 'rests';
</script>

<ul class="flex flex-wrap gap-2" aria-label="Loads">
  {#each result.loads as load (load.id)}
    <li class="load" data-load={load.id} data-state={state(load)}>
      <span class="shape" aria-hidden="true"></span>
      <span
        ><b>{LOAD_NAMES[load.id]}</b>
        {state(load)}{load.volts > 0.5 ? `, ${load.volts.toFixed(1)} V` : ''}</span
      >
    </li>
  {/each}
  <li class="load" data-load="thermostat" data-state={result.thermostatFed === false ? 'dark' : 'runs'}>
    <span class="shape" aria-hidden="true"></span>
    <span
      ><b>thermostat</b>
      {result.thermostatVolts === null
        ? 'not fed by a common'
        : `${result.thermostatFed ? 'lit' : 'dark'}, ${voltsText(result.thermostatVolts)}`}</span
    >
  </li>
</ul>

<style>
  .load {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    padding: 0.35rem 0.7rem;
    border: 1.5px solid var(--color-base-300);
    border-radius: var(--radius-field);
  }

  .load[data-state='runs'] {
    border-color: var(--color-base-content);
  }

  .shape {
    width: 0.95rem;
    height: 0.95rem;
    border: 2px solid currentColor;
    border-radius: 50%;
  }

  .load[data-state='runs'] .shape {
    background: currentColor;
  }

  .load[data-state='hums'] .shape {
    background: linear-gradient(90deg, currentColor 50%, transparent 50%);
  }

  .load[data-state='dark'] .shape {
    border-radius: 0;
    transform: rotate(45deg) scale(0.85);
  }
</style>

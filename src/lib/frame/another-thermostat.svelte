<script lang="ts">
  /** One more thermostat for the job: where it hangs, and which machine its wires go to. */
  import { goto } from '$app/navigation';
  import { addThermostat } from '$core/job/machines';
  import { SHORT_TEXT } from '$core/job/primitives';
  import type { JobSession } from '../state/session.svelte';
  import { emptied, typedHere } from '../state/typed.svelte';
  import Dialog from './dialog.svelte';

  const { session, onclose }: { session: JobSession; onclose: () => void } = $props();
  const typed = typedHere('another-thermostat', { name: '', on: '' });

  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const name = typed.name.trim() || 'Thermostat';
    const on = session.job.equipment.find((machine) => machine.id === typed.on)?.id ?? null;
    session.edit(addThermostat(session.job, name, on));
    emptied(typed);
    onclose();
    await goto(`/job/${session.job.id}/${session.job.thermostats.at(-1)?.id}/sheet`);
  }
</script>

<Dialog open title="Another thermostat" {onclose}>
  <form class="grid gap-3" onsubmit={add}>
    <label class="flex flex-col gap-1 text-sm"
      >Where it hangs
      <input class="input w-full" bind:value={typed.name} maxlength={SHORT_TEXT} placeholder="Upstairs" />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >Its wires go to
      <select class="select w-full" bind:value={typed.on}>
        <option value="">a machine that no other one is on</option>
        {#each session.job.equipment as machine (machine.id)}<option value={machine.id}>{machine.name}</option
          >{/each}
      </select>
    </label>
    <button class="btn btn-primary justify-self-end">Add</button>
  </form>
</Dialog>

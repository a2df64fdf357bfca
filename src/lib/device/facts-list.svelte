<script lang="ts">
  /** Everything that the sheet of a device says. */
  import type { DeviceFacts } from '$core/job/device-facts';
  import { ADAPTER_WORDS, CHARGES_WORDS, OUTPUT_WORDS, RAIL_WORDS, SUPPLY_WORDS } from './words';

  interface Props {
    device: DeviceFacts;
  }

  let { device }: Props = $props();
  const rows = $derived(
    [
      ['Fed by', SUPPLY_WORDS[device.supply]],
      ['Terminals', device.marks.join(' ')],
      ['Hot side', RAIL_WORDS[device.rails]],
      ['Electronics run from', device.electronicsFrom],
      ['Voltage', `${device.voltsMin} to ${device.voltsMax} VAC at its own terminals`],
      ['Draws', `${device.drawVa} VA`],
      ['Stages', `${device.heatStages} heat, ${device.coolStages} cool`],
      ['Heat pump', device.heatPump ? 'yes' : 'no'],
      ['Adapters', ADAPTER_WORDS[device.adapters]],
      ...(device.supply === 'self-charging'
        ? [['Without a C wire', CHARGES_WORDS[device.chargesThrough]] as [string, string]]
        : []),
      ['Accessories', OUTPUT_WORDS[device.accessoryOutputs]],
      ['Network', device.wifiBands || 'not said'],
      ['Set-up', device.setUp || 'not said'],
      ['Price', device.price === null ? 'not known' : `$${device.price}`],
      ['Note', device.note]
    ].filter(([, value]) => value !== '')
  );
</script>

<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
  {#each rows as [name, value] (name)}<dt class="quiet">{name}</dt>
    <dd>{value}</dd>{/each}
</dl>

<script lang="ts">
  /** A number with its unit as the job shows it; what is typed is checked and told, and kept in metric. */
  import { fromShown, toShown, unitName, type Quantity } from '$core/trade/units';
  import { getPlace } from '../state/context';

  interface Props {
    label: string;
    value: number | null;
    quantity?: Quantity;
    /** Further unit for plain numbers, such as kW. */
    unit?: string;
    least: number;
    most: number;
    digits?: number;
    whole?: boolean;
    onset: (value: number | null) => void;
    /** Whether it may be left empty. */
    optional?: boolean;
  }

  let {
    label,
    value,
    quantity = 'plain',
    unit = '',
    least,
    most,
    digits = 1,
    whole = false,
    onset,
    optional = true
  }: Props = $props();
  const place = getPlace();
  const units = $derived(place.job.units);
  const shown = $derived(
    value === null ? '' : String(Number(toShown(value, quantity, units).toFixed(digits)))
  );
  let trouble = $state('');

  function take(event: Event): void {
    const input = event.currentTarget as HTMLInputElement;
    const text = input.value.trim().replace(',', '.');
    if (text === '' && optional) {
      trouble = '';
      onset(null);
      return;
    }
    const read = fromShown(Number(text), quantity, units);
    if (
      text === '' ||
      !Number.isFinite(read) ||
      read < least ||
      read > most ||
      (whole && !Number.isInteger(read))
    ) {
      const limit = (one: number) => Number(toShown(one, quantity, units).toFixed(1));
      trouble = `${whole ? 'A whole number' : 'A number'} from ${limit(least)} to ${limit(most)}`;
      return;
    }
    trouble = '';
    onset(read);
  }
</script>

<label class="flex flex-col gap-1 text-sm"
  ><span>{label}{unit || quantity !== 'plain' ? `, ${unit || unitName(quantity, units)}` : ''}</span>
  <input
    class="input w-full"
    inputmode="decimal"
    placeholder={optional ? 'not known' : ''}
    value={shown}
    aria-invalid={trouble !== ''}
    onchange={take}
  />
  {#if trouble}<span role="alert">{trouble}; nothing was changed.</span>{/if}
</label>

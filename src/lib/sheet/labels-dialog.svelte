<script lang="ts">
  /** Labels to print: two for each conductor, and blank ones. */
  import { labelPages, labelsOf } from '$core/formats/labels';
  import Dialog from '../frame/dialog.svelte';
  import NumberField from '../fields/number-field.svelte';
  import { download, downloadBlob, fileName } from '../files/download';
  import { svgPagesAsPdf } from '../files/pdf';
  import { getPlace } from '../state/context';

  interface Props {
    open: boolean;
    onclose: () => void;
  }

  let { open, onclose }: Props = $props();
  const place = getPlace();
  let blanks = $state(6);
  let trouble = $state('');
  let busy = $state(false);
  const title = $derived(`${place.job.name}, ${place.thermostat.name}`);
  const pages = $derived(labelPages(labelsOf(place.job, place.thermostat, blanks), title));
  const name = (ending: string) => fileName(`${place.job.name}-${place.thermostat.name}-labels`, ending);

  async function asPdf(): Promise<void> {
    busy = true;
    try {
      downloadBlob(name('pdf'), await svgPagesAsPdf(pages, title));
      trouble = '';
    } catch (error) {
      trouble = `The PDF was not made: ${error instanceof Error ? error.message : String(error)}. The SVG holds the same.`;
    }
    busy = false;
  }

  function asSvg(): void {
    pages.forEach((page, index) =>
      download(name(pages.length > 1 ? `${index + 1}.svg` : 'svg'), page, 'image/svg+xml')
    );
  }
</script>

<Dialog {open} title="Labels" {onclose}>
  <p class="mb-3">
    {place.thermostat.conductors.length * 2 + blanks} labels, two for each conductor: one for either end. Put them
    on before anything is loosened; write on the blank ones where no letter fits.
  </p>
  <div class="mb-4 max-w-40">
    <NumberField
      label="Blank ones"
      value={blanks}
      least={0}
      most={60}
      digits={0}
      whole
      optional={false}
      onset={(value) => (blanks = value ?? 0)}
    />
  </div>
  <div class="flex flex-wrap justify-end gap-2">
    <button type="button" class="btn btn-outline" onclick={asSvg}>As SVG</button>
    <button type="button" class="btn btn-primary" disabled={busy} onclick={asPdf}
      >{busy ? 'Making …' : 'As PDF'}</button
    >
  </div>
  {#if trouble}<p class="mt-2 text-sm" role="alert">{trouble}</p>{/if}
</Dialog>

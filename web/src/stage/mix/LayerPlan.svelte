<script lang="ts">
  import { shelf } from '../../api/client';
  import type { JobHead, LayerReport, SheetView, LayerZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';
  import { fromWall, toWall, when } from '../../parts/time';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { desk, job, zone, layer }: Props = $props();
  const timeZone = $derived(job.facts.timeZone);
  const view = $derived(zone.layers.find((l) => l.id === layer.id));
  // a draft of what somebody set; a start that is only reckoned stays so, whatever else is saved
  // svelte-ignore state_referenced_locally
  let wall = $state(
    layer.started === 'PLANNED' && layer.start ? toWall(new Date(layer.start), timeZone) : '',
  );
  // svelte-ignore state_referenced_locally
  let digest = $state(view?.digest ?? '');
  let sheets = $state.raw<SheetView[]>([]);
  const sending = new FormState();

  const fitting = $derived(
    sheets.filter((s) => s.role === layer.sheet.role).map((s) => ({ id: s.digest, label: s.name })),
  );
  const planned = $derived(
    view && !fitting.some((s) => s.id === view.digest)
      ? [{ id: view.digest, label: `${view.name}, as planned with` }]
      : [],
  );
  const words: Record<LayerReport['started'], string> = {
    COATED: 'went on, by the log',
    PLANNED: 'planned',
    RECKONED: 'the earliest the layer below allows',
    UNKNOWN: 'not planned yet',
  };

  const reckoned = $derived(
    layer.started === 'RECKONED' && layer.start
      ? `empty: ${when(new Date(layer.start), timeZone, appClock.now)}, ${words.RECKONED}`
      : undefined,
  );

  $effect(
    () =>
      void shelf().then(
        (all) => (sheets = all),
        () => undefined,
      ),
  );

  async function save(event?: SubmitEvent) {
    event?.preventDefault();
    const start = wall === '' ? '' : (fromWall(wall, timeZone)?.toISOString() ?? wall);
    const form = { sheet: digest, plannedStart: start };
    await sending.send([form, job.version], (key) => desk.editLayer(zone.id, layer.id, key, form));
  }
</script>

<form onsubmit={save} novalidate data-versioned>
  <Trouble problem={sending.problem} shown={['plannedStart']} />
  {#if layer.started !== 'COATED'}
    <TextEntry
      label="Start"
      hint={reckoned ?? words[layer.started]}
      fault={sending.fault('plannedStart')}
      type="datetime-local"
      bind:value={wall}
    />
    <ChoiceEntry
      label="Sheet"
      hint={view?.shelved ? 'the shelf has it otherwise now' : 'from the shelf'}
      choices={[...planned, ...fitting]}
      bind:value={digest}
    />
    <Button type="submit" disabled={sending.busy}>Save plan</Button>
  {/if}
</form>

<style>
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 0 12px;
    align-items: start;
    justify-items: start;
  }

  form > :global(.entry) {
    inline-size: 100%;
  }

  form > :global(.trouble) {
    grid-column: 1 / -1;
  }
</style>

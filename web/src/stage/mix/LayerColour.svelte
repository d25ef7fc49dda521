<script lang="ts">
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { desk, job, zone, layer }: Props = $props();
  let open = $state(false);
  let values = $state<Record<string, string>>({});
  const sending = new Logging();
  const fields = $derived(known.view?.colour ?? []);

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const said = Object.fromEntries(
      Object.entries(values).filter(([, text]) => text.trim() !== ''),
    );
    if (await sending.write(desk, zone.id, 'COLOUR', layer.id, { values: said })) {
      open = false;
      values = {};
    }
  }
</script>

<section>
  <h2>What came for it</h2>
  {#each layer.colours as colour (colour.key)}
    <p>
      <b>{colour.name}</b>{[
        '',
        colour.maker,
        colour.lot && `lot ${colour.lot}`,
        colour.received && `received as ${colour.received}`,
      ]
        .filter((t, i) => i === 0 || t)
        .join(', ')}
      <small>{colour.by}, {when(new Date(colour.at), job.facts.timeZone, appClock.now)}</small>
      {#if colour.odd}
        <br /><b>Not the shade that was ordered ({colour.ordered}).</b> It can be tinted darker, never
        lighter.
      {/if}
    </p>
  {:else}
    <p>Colour, maker and lot are what a touch-up asks for in a year.</p>
  {/each}
  {#if open}
    <form onsubmit={save} novalidate>
      <Trouble problem={sending.problem} shown={['by', ...fields.map((f) => `values.${f.id}`)]} />
      {#each fields as field (field.id)}
        <FieldEntry
          {field}
          units={job.facts.units}
          bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
          fault={sending.fault(`values.${field.id}`)}
        />
      {/each}
      <TextEntry
        label="By"
        fault={sending.fault('by')}
        bind:value={sending.by}
        autocomplete="name"
      />
      <Button kind="main" type="submit" disabled={sending.busy}>Save what came</Button>
      <Button kind="quiet" onclick={() => (open = false)}>Not now</Button>
    </form>
  {:else}
    <Button onclick={() => (open = true)}>Note colour and lot</Button>
  {/if}
</section>

<style>
  section {
    margin-block-start: 18px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 4px;
  }

  p {
    margin-block-end: 6px;
  }

  small {
    color: var(--ink-soft);
  }
</style>

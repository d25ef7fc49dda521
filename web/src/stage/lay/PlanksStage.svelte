<script lang="ts">
  import { untrack } from 'svelte';
  import { planksUrl } from '../../api/client';
  import type { JobHead, LayerReport, LayerZone, PlankForm } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import LayerHead from '../mix/LayerHead.svelte';
  import Undrawn from './Undrawn.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import PlankDrawing from './PlankDrawing.svelte';
  import { type Butt, PlankDesk } from './planks.svelte';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();

  // the screen is made anew for another layer
  // svelte-ignore state_referenced_locally
  const where = { jobId: job.id, zoneId: zone.id, layerId: layer.id };
  // svelte-ignore state_referenced_locally
  const desk = new PlankDesk(where, job.facts.units);
  $effect(() => untrack(() => void desk.load()));

  const FIELDS = [
    { id: 'grain', label: 'Grain', hint: 'degrees to the left of along the first wall' },
    { id: 'widths', label: 'Widths, row by row', hint: 'in turn, apart by commas' },
    { id: 'shortest', label: 'Shortest plank', hint: '' },
    { id: 'longest', label: 'Longest plank', hint: '' },
    { id: 'frame', label: 'Frame round openings', hint: '0: none' },
  ] as const;

  /** What is being typed, until it is laid out. */
  let typing = $state.raw<Partial<PlankForm>>({});
  let picked = $state(-1);

  const told = $derived(desk.told);
  const butt = $derived<Butt | undefined>(told?.ends[picked]);
  const clashes = $derived(told?.ends.filter((b) => b.clash) ?? []);
  const step = $derived(job.facts.units === 'US' ? 0.0254 : 0.02);
  const stepText = $derived(job.facts.units === 'US' ? '1 in' : '20 mm');
  const SCALES = [10, 20, 50];

  /** Another layout has other butts: what was moved belongs to the one before. */
  async function layOut(more: Partial<PlankForm>) {
    const said = { ...typing, ...more };
    if (await desk.lay((form) => ({ ...form, ...said, nudges: [] }))) {
      typing = {};
      picked = -1;
    }
  }

  const nudge = (by: number) => void (butt && desk.nudge(butt, by));

  function goOn(by: number) {
    const n = told?.ends.length ?? 0;
    if (n > 0) {
      picked = (Math.max(picked, by > 0 ? -1 : 0) + by + n) % n;
    }
  }
</script>

<LayerHead title="{layer.title}, in planks" {job} {zone} {layer} />

{#if told}
  <Undrawn why={told.undrawn} />
  <div class="columns">
    <div>
      <PlankDrawing
        {told}
        name={zone.report.name}
        {picked}
        onpick={(i) => (picked = i)}
        onmove={(b, by) => void desk.nudge(b, by)}
      />
      <p class="print">
        Printed to scale, for taping:
        {#each SCALES as scale (scale)}
          <a href={planksUrl(where, scale)} target="_blank" rel="noreferrer">1:{scale}</a>
        {/each}
      </p>
    </div>
    <div>
      <dl>
        <div>
          <dt>fibre tape</dt>
          <dd><FigureButton figure={told.tape} size="big" /></dd>
        </div>
        <div>
          <dt>butts</dt>
          <dd><FigureButton figure={told.butts} text={String(told.butts.value)} size="big" /></dd>
        </div>
        <div>
          <dt>nail holes</dt>
          <dd><FigureButton figure={told.nails} text={String(told.nails.value)} size="big" /></dd>
        </div>
      </dl>

      <section aria-label="One butt">
        <h2>Move a butt</h2>
        {#if butt}
          <p>
            Row {butt.row + 1}, butt {butt.index + 1}{butt.nudged ? ', moved by hand' : ''}.
            {#if butt.clash}<b role="status">It {butt.clash}.</b>{/if}
          </p>
          <div class="tools">
            <Button onclick={() => nudge(-step)}>Back {stepText}</Button>
            <Button onclick={() => nudge(step)}>On {stepText}</Button>
          </div>
        {:else}
          <p class="soft">Drag a butt along its row, or go from one to the next.</p>
        {/if}
        <div class="tools">
          <Button kind="quiet" onclick={() => goOn(-1)}>Butt before</Button>
          <Button kind="quiet" onclick={() => goOn(1)}>Next butt</Button>
          <Button
            kind="quiet"
            disabled={desk.past.length === 0 || desk.busy}
            onclick={() => void desk.undo()}>Undo</Button
          >
        </div>
        {#if clashes.length > 0}
          <p class="clash">
            {clashes.length}
            {clashes.length === 1 ? 'butt clashes' : 'butts clash'}:
            {#each clashes.slice(0, 6) as c (`${c.row} ${c.run} ${c.index}`)}
              <button type="button" onclick={() => (picked = told.ends.indexOf(c))}
                >row {c.row + 1}, {c.clash}</button
              >
            {/each}
          </p>
        {/if}
      </section>

      <form
        onsubmit={(e) => {
          e.preventDefault();
          void layOut({});
        }}
        novalidate
      >
        <h2>How it is laid out</h2>
        <Trouble problem={desk.problem} shown={FIELDS.map((f) => f.id)} />
        {#each FIELDS as field (field.id)}
          <TextEntry
            label={field.label}
            hint={field.hint}
            fault={desk.problem?.faults.find((f) => f.field === field.id)}
            bind:value={
              () => typing[field.id] ?? told.form[field.id],
              (v) => (typing = { ...typing, [field.id]: v })
            }
          />
        {/each}
        <div class="tools">
          <Button kind="main" type="submit" disabled={desk.busy}>Lay it out</Button>
          <Button
            disabled={desk.busy}
            onclick={() => void layOut({ seed: String((Number(told.form.seed) % 999_999) + 1) })}
            >Shuffle</Button
          >
        </div>
        {#if told.form.nudges.length > 0}
          <p class="soft">
            Laying it out anew lets go of {told.form.nudges.length}
            {told.form.nudges.length === 1 ? 'butt' : 'butts'} moved by hand; Undo brings them back.
          </p>
        {/if}
      </form>
    </div>
  </div>
{:else}
  <Trouble problem={desk.problem} />
  <p class="soft">Drawing…</p>
{/if}

<style>
  h2 {
    font-size: 20px;
    margin-block: 14px 4px;
  }

  .print {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 8px;
  }

  .print a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
  }

  .print a {
    min-inline-size: var(--tap);
    justify-content: center;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1.7fr) minmax(250px, 1fr);
    gap: 24px;
    align-items: start;
  }

  .columns > div {
    min-inline-size: 0;
  }

  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 24px;
  }

  dt,
  .soft {
    color: var(--ink-soft);
  }

  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding-block: 4px;
  }

  .clash button {
    display: block;
    min-block-size: var(--tap);
    padding: 0;
    border: 0;
    background: none;
    color: var(--hold);
    font-weight: 600;
    text-align: start;
    cursor: pointer;
  }

  section b {
    color: var(--hold);
  }

  @media (max-width: 759px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
  }
</style>

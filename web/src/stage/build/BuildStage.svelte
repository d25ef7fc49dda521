<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { shelf } from '../../api/client';
  import type { BuildUpForm, BuildUpZone, JobHead, LayerForm, SheetView } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { jobHref } from '../../app/route.svelte';
  import CoreDrawing from '../../core-sample/CoreDrawing.svelte';
  import Button from '../../parts/Button.svelte';
  import { FormState } from '../../parts/form.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import LayerLine from './LayerLine.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: BuildUpZone;
  }

  let { desk, job, zone }: Props = $props();
  const sending = new FormState();
  let sheets = $state.raw<readonly SheetView[]>([]);
  let problem = $state.raw<ApiProblem | null>(null);
  let added = $state('');
  /** What was there before each change, the newest last. */
  let undo = $state.raw<readonly BuildUpForm[]>([]);

  const layers = $derived(zone.layers);
  const topDown = $derived([...layers].reverse());
  const isBegun = (id: string) => zone.report.begun.includes(id);
  /** Nothing moves below what was begun. */
  const floor = $derived(layers.reduce((top, l, i) => (isBegun(l.id) ? i : top), -1));

  $effect(
    () =>
      void shelf().then(
        (all) => (sheets = all),
        (e: unknown) => (problem = asProblem(e)),
      ),
  );

  const kept = (): LayerForm[] =>
    layers.map((l) => ({
      id: l.id,
      sheet: l.digest,
      title: l.title,
      ...(l.role && { role: l.role as NonNullable<LayerForm['role']> }),
      rate: l.rate ?? '',
      reserve: l.reserve ?? '',
    }));
  const asItIs = (): BuildUpForm => ({ system: zone.system?.id ?? '', layers: kept() });

  async function send(form: BuildUpForm, back?: readonly BuildUpForm[]): Promise<boolean> {
    const before = back ?? [...undo, asItIs()];
    const taken = await sending.send([form, job.version], (key) => desk.build(zone.id, key, form));
    if (taken) {
      undo = before;
    }
    return taken;
  }

  const change = (next: LayerForm[]) => send({ system: zone.system?.id ?? '', layers: next });

  function move(at: number, by: number) {
    const next = kept();
    const [layer] = next.splice(at, 1);
    if (layer) {
      next.splice(at + by, 0, layer);
      void change(next);
    }
  }

  function repeat(at: number) {
    const next = kept();
    const again: LayerForm = { ...next[at] };
    delete again.id;
    next.splice(at + 1, 0, again);
    void change(next);
  }

  function takeBack() {
    const last = undo.at(-1);
    if (last) {
      void send(last, undo.slice(0, -1));
    }
  }

  function add() {
    const sheet = sheets.find((s) => s.digest === added);
    if (sheet) {
      void change([...kept(), { sheet: sheet.digest }]);
      added = '';
    }
  }

  /** One that is only named goes where the system has it. */
  const offer = (id: string) => change([...kept(), { id }]);
</script>

<header>
  <h1>What goes on</h1>
  <p>{zone.system?.title ?? 'No system chosen yet'}</p>
</header>
{#if zone.system}<p class="soft">{zone.system.note}</p>{/if}
<Trouble problem={sending.problem} />
<Trouble {problem} />

<section aria-labelledby="layers-head">
  <h2 id="layers-head">Its layers, from the top down</h2>
  {#if layers.length === 0}
    <p class="soft">Nothing yet: choose a system below, or lay sheets one on another.</p>
  {/if}
  <ol>
    {#each topDown as layer (layer.id)}
      {@const at = layers.indexOf(layer)}
      <LayerLine
        {layer}
        {sheets}
        units={job.facts.units}
        begun={isBegun(layer.id)}
        checks={zone.report.checks.filter((c) => c.layer === layer.id)}
        busy={sending.busy}
        up={at < layers.length - 1 && at > floor}
        down={at > floor + 1}
        above={at >= floor}
        href={jobHref(job.id, zone.id, layer.id)}
        onmove={(by) => move(at, by)}
        onrepeat={() => repeat(at)}
        ondrop={() => void change(kept().filter((l) => l.id !== layer.id))}
        onchange={(form) => change(kept().map((l) => (l.id === layer.id ? { ...l, ...form } : l)))}
      />
    {/each}
  </ol>
  {#if layers.length > 0}
    <a class="below" href={jobHref(job.id, zone.id, 'prep')}>
      <span class="slab"
        ><CoreDrawing
          strata={zone.report.strata.slice(0, 1)}
          name={job.facts.name + zone.report.name}
          width={84}
          height={90}
        /></span
      >
      <span>What it lies on, and how that is made ready</span>
    </a>
  {/if}
  <div class="acts">
    {#each zone.more as more (more.id)}
      <Button disabled={sending.busy} onclick={() => void offer(more.id)}
        >Add: {more.title}<small>{more.when}</small></Button
      >
    {/each}
    <label>
      <span>Another layer on top</span>
      <select bind:value={added} onchange={add} disabled={sending.busy}>
        <option value="">choose a sheet</option>
        {#each sheets as sheet (sheet.digest)}
          <option value={sheet.digest}>{sheet.name}</option>
        {/each}
      </select>
    </label>
    {#if undo.length > 0}
      <Button kind="quiet" disabled={sending.busy} onclick={takeBack}>Undo</Button>
    {/if}
  </div>
</section>

<p class="choose">
  {#if floor >= 0}
    Something is on already: another system begins with the floor's next cycle; what is not on yet
    can be changed above.
  {:else}
    <a href={jobHref(job.id, zone.id, 'choices')}
      >{zone.system ? 'Choose another system' : 'Choose a system'}</a
    >
  {/if}
</p>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
  }

  h1 {
    font-size: 30px;
  }

  header p {
    font: 600 24px/1 var(--figures);
    text-transform: uppercase;
  }

  h2 {
    font-size: 20px;
    margin-block: 18px 6px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .below {
    display: grid;
    grid-template-columns: 84px 1fr;
    gap: 24px;
    align-items: center;
    inline-size: fit-content;
    padding-inline-start: 2px;
    font-size: 14px;
  }

  /* drilled on from the lowest layer: no lid between them */
  .slab {
    block-size: 100px;
    overflow: hidden;
  }

  .slab :global(svg) {
    margin-block-start: -24px;
  }

  @media (max-width: 759px) {
    .below {
      grid-template-columns: 40px 1fr;
      gap: 16px;
    }

    .slab :global(svg) {
      inline-size: 40px;
      block-size: auto;
      margin-block-start: -11px;
    }
  }

  .acts {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px 14px;
    margin-block: 12px;
  }

  small {
    display: block;
    font-weight: 400;
    font-size: 13px;
  }

  label span {
    display: block;
    font-size: 13px;
    color: var(--ink-soft);
  }

  .choose {
    margin-block-start: 18px;
    font-size: 14px;
    color: var(--ink-soft);
  }

  .choose a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    padding: 0 16px;
    border: 1px solid var(--chalk);
    border-radius: var(--radius);
    background: var(--paper);
    font-size: 15px;
    font-weight: 600;
    text-decoration: none;
  }
</style>

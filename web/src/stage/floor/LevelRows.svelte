<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { levelsUrl, readLevels } from '../../api/client';
  import type { RoomForm, RoomPlan } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Fold from '../../parts/Fold.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import FilePick from '../../parts/FilePick.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import type { PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    jobId: string;
    room: RoomForm;
    plan: RoomPlan | undefined;
  }

  let { desk, jobId, room, plan }: Props = $props();

  let refused = $state.raw<ApiProblem | null>(null);

  const us = $derived(desk.units === 'US');
  const about = $derived(
    `Heights on a square grid, row by row from the first corner, ${us ? 'inches' : 'millimetres'} above any datum; paste them from a table. A foot apart they give F-numbers too.`,
  );
  const faults = $derived(
    [
      'levels.step',
      'levels.heights',
      'levels.fillTo',
      'levels.fall',
      'levels.at.along',
      'levels.at.off',
    ]
      .map((path) => desk.fault(room, path))
      .concat((room.levels?.heights ?? []).map((_, i) => desk.fault(room, `levels.heights[${i}]`)))
      .filter((f) => f !== undefined)
      .slice(0, 3),
  );
  const rows = $derived.by(() => {
    const l = room.levels;
    return l
      ? Array.from({ length: Math.ceil(l.heights.length / l.columns) }, (_, r) =>
          l.heights.slice(r * l.columns, (r + 1) * l.columns).join(', '),
        ).join('\n')
      : '';
  });
  const report = $derived(plan?.levels);

  /** F-numbers are there only where the readings are a foot apart, and read to a tenth. */
  const figures = $derived.by(() => {
    if (!report) {
      return [];
    }
    const f = [report.fNumbers?.flatness, report.fNumbers?.levelness].filter(
      (x) => x !== undefined,
    );
    const asked = [report.range, report.ponding, report.fill, report.toGrind, report.toDrain];
    return [
      ...asked.filter((x) => x !== undefined).map((x) => ({ figure: x, text: x.text })),
      ...f.map((x) => ({ figure: x, text: x.value.toFixed(1) })),
    ];
  });

  function begin() {
    room.levels = {
      at: { along: '0', off: '0' },
      step: us ? "1'" : '0.5 m',
      columns: 2,
      heights: [],
      fillTo: '',
      fall: '',
    };
  }

  /** Rows of heights, parted by commas, semicolons or tabs: what a table pastes. */
  function read(text: string) {
    if (!room.levels) {
      return;
    }
    const lines = text.split('\n').filter((l) => l.trim() !== '');
    const cells = lines.map((l) => l.split(/[,;\t]/).map((c) => c.trim()));
    const columns = Math.max(2, ...cells.map((c) => c.length));
    room.levels.columns = columns;
    room.levels.heights = cells.flatMap((c) =>
      Array.from({ length: columns }, (_, i) => c[i] ?? ''),
    );
    desk.typing();
    void desk.save();
  }

  /** A table of readings, each with its place, or bare heights; asked of the server, which names what is wrong. */
  async function readFile(file: File) {
    try {
      const { fillTo, fall } = room.levels ?? { fillTo: '', fall: '' };
      room.levels = { ...(await readLevels(await file.text(), desk.units)), fillTo, fall };
      refused = null;
      desk.typing();
      await desk.save();
    } catch (e) {
      refused = asProblem(e);
    }
  }

  function takeOut() {
    delete room.levels;
    desk.typing();
    void desk.save();
  }
</script>

<Fold title="Levels" {about}>
  {#if room.levels}
    <label
      ><span>Apart</span>
      <input bind:value={room.levels.step} onchange={() => void desk.save()} /></label
    >
    <label
      ><span>Heights</span>
      <textarea
        rows="5"
        value={rows}
        aria-invalid={faults.length > 0}
        onchange={(e) => read(e.currentTarget.value)}></textarea></label
    >
    <div class="targets">
      <label
        ><span>Fill to</span>
        <input
          bind:value={room.levels.fillTo}
          placeholder="the highest reading"
          oninput={() => desk.typing()}
          onchange={() => void desk.save()}
        /></label
      >
      <label
        ><span>Fall to the drain</span>
        <input
          bind:value={room.levels.fall}
          placeholder={us ? '1/4 in per ft' : '1:48 or 20 mm/m'}
          oninput={() => desk.typing()}
          onchange={() => void desk.save()}
        /></label
      >
    </div>
    {#each faults as fault (fault.field)}<em role="status"
        >{fault.value}: accepted is {fault.accepted}.</em
      >{/each}
    {#if report}
      <dl>
        {#each figures as { figure, text } (figure.label)}
          <div>
            <dt>{figure.label}</dt>
            <dd><FigureButton {figure} {text} /></dd>
          </div>
        {/each}
      </dl>
      {#if report.spots.length > 0}
        <ul>
          {#each report.spots.slice(0, 6) as spot, i (i)}
            <li>Low spot: {spot.depth} deep, {spot.area}, {spot.volume}</li>
          {/each}
        </ul>
      {/if}
    {/if}
    {#if report && report.toDrain === undefined && room.levels.fall !== ''}
      <p class="aside">A fall needs a drain: put one under “Not coated”.</p>
    {/if}
    <Button kind="quiet" onclick={takeOut}>Take out the levels</Button>
    {#if report}<a href={levelsUrl(jobId, room.id)} download>Levels as CSV</a>{/if}
  {:else}
    <Button onclick={begin}>Key in levels</Button>
  {/if}
  <Trouble problem={refused} />
  <FilePick
    label="Levels from a file"
    hint="CSV: a table of readings, or bare heights"
    accept=".csv,text/csv"
    onpick={(f) => void readFile(f)}
  />
</Fold>

<style>
  label {
    display: grid;
    gap: 2px;
    font-size: 14px;
    margin-block-end: 6px;
  }

  input,
  textarea {
    font-size: 16px;
  }

  .targets {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
  }

  .targets input {
    min-inline-size: 0;
  }

  a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    padding: 0 10px;
    font-weight: 600;
  }

  .aside {
    font-size: 14px;
    color: var(--ink-soft);
  }

  em {
    display: block;
    font-style: normal;
    font-size: 13px;
    font-weight: 500;
    color: var(--stop);
  }

  dl {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
    gap: 8px 16px;
    margin-block: 6px;
  }

  dt {
    font-size: 13px;
    color: var(--ink-soft);
  }
</style>

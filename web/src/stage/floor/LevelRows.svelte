<script lang="ts">
  import type { RoomForm, RoomPlan } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Fold from '../../parts/Fold.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import type { PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    room: RoomForm;
    plan: RoomPlan | undefined;
  }

  let { desk, room, plan }: Props = $props();

  const us = $derived(desk.units === 'US');
  const about = $derived(
    `Heights on a square grid, row by row from the first corner, ${us ? 'inches' : 'millimetres'} above any datum; paste them from a table. A foot apart they give F-numbers too.`,
  );
  const faults = $derived(
    ['levels.step', 'levels.heights', 'levels.at.along', 'levels.at.off']
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
    return [
      ...[report.range, report.ponding, report.fill].map((x) => ({ figure: x, text: x.text })),
      ...f.map((x) => ({ figure: x, text: x.value.toFixed(1) })),
    ];
  });

  function begin() {
    room.levels = {
      at: { along: '0', off: '0' },
      step: us ? "1'" : '0.5 m',
      columns: 2,
      heights: [],
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

  function takeOut() {
    delete room.levels;
    desk.typing();
    void desk.save();
  }
</script>

<Fold title="Levels" {about} open={room.levels !== undefined}>
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
    <Button kind="quiet" onclick={takeOut}>Take out the levels</Button>
  {:else}
    <Button onclick={begin}>Key in levels</Button>
  {/if}
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
    min-block-size: var(--tap);
    padding: 4px 8px;
    border: 1px solid var(--line-strong);
    border-radius: var(--radius);
    background: #ffffff;
    font: inherit;
    font-size: 16px;
  }

  textarea[aria-invalid='true'] {
    border: 2px solid var(--stop);
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

<script lang="ts">
  import type { RoomPlan } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';

  let { plan }: { plan: RoomPlan } = $props();

  const figures = $derived([
    plan.quantities.gross,
    plan.quantities.net,
    plan.quantities.trueArea,
    plan.quantities.perimeter,
    ...plan.quantities.lengths,
    ...plan.quantities.fills,
  ]);
  const joints = $derived(plan.joints);
  const jointWord = $derived(
    joints.lost > 0 ? ('STOP' as const) : joints.toCut > 0 ? ('WATCH' as const) : ('GO' as const),
  );
</script>

<div class="closing" data-method={plan.closed.method}>
  {#if plan.doubts.length === 0}
    <Mark mark="GO" word={plan.closing.ratio === '' ? 'closes' : 'closes well enough'} />
  {:else}
    <Mark mark="HOLD" />
  {/if}
  {#if plan.closing.ratio !== ''}
    <span
      >misses by <FigureButton figure={plan.closing.misclosure} />, {plan.closing.ratio}; up to <FigureButton
        figure={plan.closing.tolerance}
      /> is shared out</span
    >
  {/if}
  {#if plan.closed.method === 'ADJUSTED'}<span>adjusted with its checks</span>{/if}
</div>
{#each plan.doubts as doubt, i (`${doubt.rule} ${i}`)}
  <div class="doubt">
    <b>{doubt.title}</b>: {doubt.measured}; needed {doubt.needed}.
    <p>{doubt.why} <b>{doubt.remedy}</b></p>
  </div>
{/each}
<dl>
  {#each figures as figure (figure.label)}
    <div>
      <dt>{figure.label}</dt>
      <dd><FigureButton {figure} /> <small>{figure.also}</small></dd>
    </div>
  {/each}
</dl>
{#each plan.slopes as slope (slope.id)}
  <p class="check">
    <Mark mark={slope.fits ? 'GO' : 'STOP'} word={slope.ratio} />
    <b>{slope.name}</b>: {slope.word} (<FigureButton figure={slope.slope} />). Local rules decide.
  </p>
{/each}
{#each plan.lips as lip (lip.id)}
  <p class="check">
    <Mark mark={lip.fits ? 'GO' : 'WATCH'} word="lip" />
    <b>{lip.name}</b>: {lip.word}{#each lip.needs as need (need.label)}; {need.label}
      <FigureButton figure={need} />{/each}. Local rules decide.
  </p>
{/each}
{#each plan.gaps as gap, i (gap.id)}
  <p class="check">
    <Mark mark={gap.fits ? 'GO' : 'WATCH'} word="gap {i + 1}" />
    {gap.word} (<FigureButton figure={gap.gap} />).
  </p>
{/each}
{#if joints.joints > 0}
  <p class="check">
    <Mark mark={jointWord} word="joints" />
    {joints.marked} marked, {joints.buried} buried, {joints.recut} cut again of {joints.joints}{joints.toCut >
    0
      ? `: ${joints.toCut} still to cut`
      : ''}{joints.lost > 0 ? `, ${joints.lost} buried without a mark` : ''}.
  </p>
{/if}

<style>
  .closing {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
    padding-block: 8px;
    border-block-end: 4px solid var(--go);
  }

  .closing[data-method='OPEN'] {
    border-color: var(--hold);
  }

  .doubt {
    padding: 8px 12px;
    background: var(--hold-wash);
    margin-block-start: 8px;
  }

  dl {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    gap: 10px 20px;
    padding-block: 14px;
  }

  dt {
    font-size: 13px;
    color: var(--ink-soft);
  }

  small {
    color: var(--ink-soft);
  }

  .check {
    padding-block: 6px;
    border-block-start: 1px solid var(--line);
  }
</style>

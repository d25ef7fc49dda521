<script lang="ts">
  import { planFileUrl, planSvgUrl } from '../../api/client';
  import type { RoomPlan } from '../../api/types';
  import Button from '../../parts/Button.svelte';

  interface Props {
    jobId: string;
    plan: RoomPlan;
    onzoom: (by: number) => void;
    onfit: () => void;
  }

  let { jobId, plan, onzoom, onfit }: Props = $props();

  const SCALES = [20, 25, 50, 100, 200, 500];
  /** What of a room fits an A4 sheet lying down, margins left. */
  const PAPER_M = { wide: 0.27, high: 0.17 };

  const least = $derived.by(() => {
    const xs = plan.outline.corners.map((c) => c.x);
    const ys = plan.outline.corners.map((c) => c.y);
    const wide = Math.max(...xs) - Math.min(...xs);
    const high = Math.max(...ys) - Math.min(...ys);
    return SCALES.find((n) => wide / n <= PAPER_M.wide && high / n <= PAPER_M.high) ?? 500;
  });
  let chosen = $state(0);
  const scale = $derived(chosen || least);
</script>

<div class="tools">
  <Button onclick={() => onzoom(1.3)}>Nearer</Button>
  <Button onclick={() => onzoom(1 / 1.3)}>Farther</Button>
  <Button onclick={onfit}>Whole room</Button>
</div>
<div class="out">
  <label
    >Scale 1:<select aria-label="Scale to print at" bind:value={() => scale, (n) => (chosen = n)}>
      {#each SCALES as n (n)}<option value={n}>{n}</option>{/each}
    </select></label
  >
  <a href={planSvgUrl(jobId, plan.id, scale)} target="_blank" rel="noopener">Print</a>
  <a href={planSvgUrl(jobId, plan.id, scale)} download="{plan.name}.svg">SVG</a>
  <a href={planFileUrl(jobId, 'dxf')} download>DXF</a>
  <a href={planFileUrl(jobId, 'geojson')} download>GeoJSON</a>
</div>

<style>
  .tools,
  .out {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin-block-start: 8px;
  }

  .out {
    gap: 4px;
  }

  label {
    display: flex;
    align-items: center;
    gap: 4px;
    margin-inline-end: 8px;
  }

  select,
  a {
    min-block-size: var(--tap);
  }

  a {
    display: inline-flex;
    align-items: center;
    padding: 0 10px;
    font-weight: 600;
  }
</style>

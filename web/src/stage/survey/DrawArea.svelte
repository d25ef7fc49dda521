<script lang="ts">
  import type { Corner, JobHead, SurveyZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import StillHere from '../../parts/StillHere.svelte';
  import { Draft } from '../../parts/draft.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { inDrawing, sketch } from '../floor/sketch';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
    onclose: () => void;
  }

  let { desk, job, zone, onclose }: Props = $props();

  const WIDTH = 560;
  const FOOT_M = 0.3048;
  const US = $derived(job.facts.units === 'US');

  // svelte-ignore state_referenced_locally
  const kept = new Draft(`area ${zone.id}`, { defect: 'OIL', name: '', typed: '' });
  const typed = $derived(kept.value.typed);
  let svg = $state<SVGSVGElement>();
  const sending = new Logging();

  const defects = $derived(known.view?.defects ?? []);
  const chosen = $derived(defects.find((d) => d.id === kept.value.defect));
  const outline = $derived(zone.report.outline.corners);
  const fitted = $derived(sketch(outline, WIDTH, 250, 16));
  /** As wide as the floor, so that a narrow one stands in the middle. */
  const wide = $derived((fitted.maxX - fitted.minX) * fitted.k + 32);
  const drawn = $derived(sketch(outline, wide, 250, 16));

  /** Tapped or typed, the corners stand in one text: whoever cannot tap can type them. */
  const ring = $derived.by((): Corner[] => {
    const corners: Corner[] = [];
    for (const pair of typed.split(';')) {
      const [x = NaN, y = NaN] = pair
        .trim()
        .split(/[\s,]+/)
        .filter((t) => t !== '')
        .map(Number);
      if (Number.isFinite(x) && Number.isFinite(y)) {
        corners.push({ x: x * (US ? FOOT_M : 1), y: y * (US ? FOOT_M : 1) });
      }
    }
    return corners;
  });

  const shown = (metres: number) => (US ? metres / FOOT_M : metres).toFixed(2);

  function tap(event: PointerEvent) {
    if (!svg) {
      return;
    }
    const at = inDrawing(event, svg, wide);
    const place = drawn.floor(at.x, at.y);
    kept.value.typed = [typed.trim(), `${shown(place.x)} ${shown(place.y)}`]
      .filter((t) => t !== '')
      .join('; ');
  }

  const takeBack = () => (kept.value.typed = typed.split(';').slice(0, -1).join(';'));

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (
      await sending.write(desk, zone.id, 'AREA', kept.value.defect, {
        place: kept.value.name,
        ring,
      })
    ) {
      kept.sent();
      onclose();
    }
  }
</script>

<Dialog title="Draw what is on the floor" {onclose}>
  <form onsubmit={save} novalidate>
    <StillHere draft={kept} />
    <Trouble problem={sending.problem} shown={['place', 'by', 'ring']} />
    <div class="grid">
      <ChoiceEntry label="What it is" choices={defects} bind:value={kept.value.defect} />
      <TextEntry
        label="Name"
        hint="a word for it: Press, Door"
        fault={sending.fault('place')}
        bind:value={kept.value.name}
      />
    </div>
    {#if chosen}
      <p class="means">{chosen.consequence}</p>
    {/if}
    <svg
      bind:this={svg}
      viewBox="0 0 {wide} {drawn.height}"
      style:max-inline-size="{wide}px"
      role="img"
      aria-label="Plan of {zone.report.name}: tap round it, or type its corners below"
      onpointerdown={tap}
    >
      <path class="floor" d={drawn.path(outline)} />
      {#each zone.report.areas as a (a.area.key)}
        <path class="other" d={drawn.path(a.area.ring)} />
      {/each}
      {#each zone.report.places as p (p.name)}
        <text x={drawn.px(p.at.x)} y={drawn.py(p.at.y) + 5}>{p.name}</text>
      {/each}
      {#if ring.length > 1}<path class="ring" d={drawn.path(ring)} />{/if}
      {#each ring as corner, i (i)}
        <circle cx={drawn.px(corner.x)} cy={drawn.py(corner.y)} r="5" />
      {/each}
    </svg>
    <TextEntry
      label="Corners"
      hint="{US ? 'feet' : 'metres'} along the first wall and off it: 1 1; 3 1; 3 2"
      fault={sending.fault('ring')}
      bind:value={kept.value.typed}
    />
    <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
    <div class="buttons">
      <Button kind="main" type="submit" disabled={sending.busy || ring.length < 3}>Save area</Button
      >
      <Button disabled={ring.length === 0} onclick={takeBack}>Take back a corner</Button>
    </div>
  </form>
</Dialog>

<style>
  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
  }

  .means {
    color: var(--ink-soft);
    font-size: 14px;
    margin-block-end: 8px;
    max-inline-size: 68ch;
  }

  svg {
    display: block;
    inline-size: 100%;
    margin-inline: auto;
    cursor: crosshair;
    touch-action: manipulation;
    margin-block-end: 8px;
  }

  .floor {
    fill: #ffffff;
    stroke: var(--ink);
    stroke-width: 3;
  }

  .other {
    fill: var(--ink);
    fill-opacity: 0.07;
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }

  .ring {
    fill: var(--stop);
    fill-opacity: 0.16;
    stroke: var(--stop);
    stroke-width: 2;
  }

  circle {
    fill: var(--stop);
  }

  text {
    font: 600 15px var(--figures);
    fill: var(--chalk);
    text-anchor: middle;
  }

  .buttons {
    display: flex;
    gap: 12px;
    margin-block-start: 8px;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: 1fr;
    }
  }
</style>

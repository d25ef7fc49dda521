<script lang="ts">
  import type { MarkedPlace, ProposedPlace, ZoneReport } from '../../api/types';

  interface Props {
    report: ZoneReport;
    /** As typed, by side. */
    sides: Record<string, string>;
    width: number;
    places?: readonly MarkedPlace[];
    /** Not marked yet. */
    proposed?: readonly ProposedPlace[];
    onmove?: (name: string, at: { x: number; y: number }) => void;
  }

  let { report, sides, width, places = [], proposed = [], onmove }: Props = $props();

  const M = 34;
  const outline = $derived(report.outline.corners);
  const minX = $derived(Math.min(...outline.map((c) => c.x)));
  const minY = $derived(Math.min(...outline.map((c) => c.y)));
  /** Moved to where it begins, since a plan may begin anywhere. */
  const corners = $derived(outline.map((c) => ({ x: c.x - minX, y: c.y - minY })));
  const maxX = $derived(Math.max(...corners.map((c) => c.x)));
  const maxY = $derived(Math.max(...corners.map((c) => c.y)));
  const k = $derived(Math.min((width - 2 * M) / maxX, 230 / maxY));
  const px = (x: number) => M + x * k;
  const py = (y: number) => M - 8 + (maxY - y) * k;
  /** One arrow press, metres. */
  const NUDGE = 0.1;
  const ARROWS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  };

  let svg = $state<SVGSVGElement>();
  let grabbed = '';
  let held = $state.raw<{ name: string; x: number; y: number } | null>(null);

  const at = (p: MarkedPlace) => (held?.name === p.name ? held : p.at);

  /** What a place is stored to. */
  const centimetres = (metres: number) => Math.round(metres * 100) / 100;

  function onFloor(event: PointerEvent) {
    const box = svg?.getBoundingClientRect() ?? new DOMRect();
    const scale = box.width / width;
    return {
      x: centimetres((event.clientX - box.left) / scale / k - M / k + minX),
      y: centimetres(maxY - ((event.clientY - box.top) / scale - M + 8) / k + minY),
    };
  }

  /** A tap moves nothing: only what was dragged is held, and let go where it was dragged to. */
  function drag(event: PointerEvent, name: string) {
    if (event.type === 'pointerdown') {
      grabbed = name;
      (event.currentTarget as Element).setPointerCapture(event.pointerId);
    } else if (event.type === 'pointermove') {
      held = grabbed === name ? { name, ...onFloor(event) } : held;
    } else {
      if (held && event.type === 'pointerup') {
        onmove?.(name, held);
      }
      grabbed = '';
      held = null;
    }
  }

  function nudge(event: KeyboardEvent, place: MarkedPlace) {
    const by = ARROWS[event.key];
    if (by) {
      event.preventDefault();
      event.stopPropagation();
      onmove?.(place.name, { x: place.at.x + by[0] * NUDGE, y: place.at.y + by[1] * NUDGE });
    }
  }

  const height = $derived(maxY * k + 2 * M - 6);
  const path = $derived(
    `${corners.map((c, i) => `${i === 0 ? 'M' : 'L'}${px(c.x)} ${py(c.y)}`).join('')}Z`,
  );
</script>

<svg
  {width}
  {height}
  viewBox="0 0 {width} {height}"
  bind:this={svg}
  role={places.length > 0 ? 'group' : 'img'}
  aria-label="Plan of {report.name}, {report.area.text}"
>
  <path class="floor" d={path} />
  <text x={px(maxX / 2)} y={py(0) + 20}>{sides['length'] ?? ''}</text>
  <text transform="translate({px(0) - 10} {py(maxY / 2)}) rotate(-90)">{sides['width'] ?? ''}</text>
  {#if sides['cutLength']}
    <text
      x={px(maxX) - (px(maxX) - px(corners[3]?.x ?? maxX)) / 2}
      y={py(corners[2]?.y ?? maxY) - 7}>{sides['cutLength']}</text
    >
    <text
      transform="translate({px(corners[3]?.x ?? maxX) - 8} {(py(maxY) + py(corners[2]?.y ?? 0)) /
        2}) rotate(-90)">{sides['cutWidth']}</text
    >
  {/if}
  {#if places.length + proposed.length === 0}
    <text
      class="area"
      x={px((sides['cutLength'] ? (corners[3]?.x ?? maxX) : maxX) / 2)}
      y={py(maxY / 2) + 8}>{report.area.text}</text
    >
  {/if}
  {#each proposed as p (p.name)}
    <circle class="proposed" cx={px(p.at.x - minX)} cy={py(p.at.y - minY)} r="11" />
    <text class="name" x={px(p.at.x - minX)} y={py(p.at.y - minY) + 5}>{p.name}</text>
  {/each}
  {#each places as p (p.name)}
    {@const c = at(p)}
    <g
      class="place"
      role="button"
      tabindex="0"
      aria-label="Place {p.name}: drag it, or arrows move it"
      onpointerdown={(e) => drag(e, p.name)}
      onpointermove={(e) => drag(e, p.name)}
      onpointerup={(e) => drag(e, p.name)}
      onpointercancel={(e) => drag(e, p.name)}
      onkeydown={(e) => nudge(e, p)}
    >
      <circle class="reach" cx={px(c.x - minX)} cy={py(c.y - minY)} r="22" />
      <circle class="marked" cx={px(c.x - minX)} cy={py(c.y - minY)} r="11" />
      <text class="name on" x={px(c.x - minX)} y={py(c.y - minY) + 5}
        >{p.name.length > 2 ? p.name.slice(0, 1) : p.name}</text
      >
    </g>
  {/each}
</svg>

<style>
  svg {
    display: block;
    max-inline-size: 100%;
  }

  .floor {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 3;
    stroke-linejoin: miter;
  }

  text {
    font: 600 15px var(--figures);
    fill: var(--chalk);
    text-anchor: middle;
  }

  .proposed {
    fill: var(--paper);
    stroke: var(--chalk);
    stroke-width: 2;
    stroke-dasharray: 3 3;
  }

  .marked {
    fill: var(--chalk);
  }

  .reach {
    fill: transparent;
  }

  .place {
    cursor: grab;
    touch-action: none;
    outline: none;
  }

  .place:focus-visible .marked {
    stroke: var(--ink);
    stroke-width: 3;
  }

  .name {
    font-size: 14px;
  }

  .name.on {
    fill: var(--paper);
  }

  .area {
    font-size: 26px;
    fill: var(--ink);
  }
</style>

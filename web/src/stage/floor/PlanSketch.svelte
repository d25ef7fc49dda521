<script lang="ts">
  import type { JudgedArea, MarkedPlace, ProposedPlace, SurveyZone } from '../../api/types';
  import { inDrawing, sketch } from './sketch';

  interface Props {
    report: SurveyZone['report'];
    /** As typed, by side. */
    sides: Record<string, string>;
    width: number;
    places?: readonly MarkedPlace[];
    /** Not marked yet. */
    proposed?: readonly ProposedPlace[];
    areas?: readonly JudgedArea[];
    onmove?: (name: string, at: { x: number; y: number }) => void;
  }

  let { report, sides, width, places = [], proposed = [], areas = [], onmove }: Props = $props();

  const M = 34;
  const outline = $derived(report.outline.corners);
  const drawn = $derived(sketch(outline, width, 230, M - 4));
  const px = $derived(drawn.px);
  const py = $derived(drawn.py);
  const maxX = $derived(drawn.maxX);
  const maxY = $derived(drawn.maxY);
  const midX = $derived((drawn.minX + maxX) / 2);
  const midY = $derived((drawn.minY + maxY) / 2);
  /** The middle of what is worked on, where that is a patch. */
  const patchAt = $derived({
    x: report.patch.reduce((sum, c) => sum + c.x, 0) / report.patch.length,
    y: report.patch.reduce((sum, c) => sum + c.y, 0) / report.patch.length,
  });
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

  function onFloor(event: PointerEvent) {
    const at = svg ? inDrawing(event, svg, width) : { x: 0, y: 0 };
    return drawn.floor(at.x, at.y);
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
</script>

<svg
  {width}
  height={drawn.height}
  viewBox="0 0 {width} {drawn.height}"
  bind:this={svg}
  role={places.length > 0 ? 'group' : 'img'}
  aria-label="Plan of {report.name}, {report.floor.text}"
>
  <path class="floor" d={drawn.path(outline)} />
  {#if report.patch.length > 0}
    <path class="patch" d={drawn.path(report.patch)} />
    <text class="patch-name" x={px(patchAt.x)} y={py(patchAt.y) + 5}>patch</text>
  {/if}
  {#each areas as a (a.area.key)}
    <path class="area-drawn" class:gone={a.gone} d={drawn.path(a.area.ring)} />
  {/each}
  <text x={px(midX)} y={py(drawn.minY) + 20}>{sides['length'] ?? ''}</text>
  <text transform="translate({px(drawn.minX) - 10} {py(midY)}) rotate(-90)"
    >{sides['width'] ?? ''}</text
  >
  {#if sides['cutLength']}
    <text x={(px(maxX) + px(outline[3]?.x ?? maxX)) / 2} y={py(outline[2]?.y ?? maxY) - 7}
      >{sides['cutLength']}</text
    >
    <text
      transform="translate({px(outline[3]?.x ?? maxX) - 8} {(py(maxY) + py(outline[2]?.y ?? 0)) /
        2}) rotate(-90)">{sides['cutWidth']}</text
    >
  {/if}
  {#if places.length + proposed.length === 0}
    <text
      class="area"
      x={px(sides['cutLength'] ? (outline[3]?.x ?? maxX) / 2 : midX)}
      y={py(midY) + 8}>{report.floor.text}</text
    >
  {/if}
  {#each proposed as p (p.name)}
    <circle class="proposed" cx={px(p.at.x)} cy={py(p.at.y)} r="11" />
    <text class="name" x={px(p.at.x)} y={py(p.at.y) + 5}>{p.name}</text>
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
      <circle class="reach" cx={px(c.x)} cy={py(c.y)} r="22" />
      <circle class="marked" cx={px(c.x)} cy={py(c.y)} r="11" />
      <text class="name on" x={px(c.x)} y={py(c.y) + 5}
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

  .patch {
    fill: var(--chalk-wash);
    stroke: var(--ink);
    stroke-width: 2;
  }

  .patch-name {
    font-size: 13px;
    fill: var(--ink);
  }

  .area-drawn {
    fill: var(--stop);
    fill-opacity: 0.14;
    stroke: var(--stop);
    stroke-width: 1.5;
    stroke-dasharray: 5 3;
  }

  .area-drawn.gone {
    fill: none;
    stroke: var(--go);
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

<script lang="ts">
  /** A can, a bag or a box as it stands on the shelf, filled so far. */
  interface Props {
    kind: 'can' | 'bag' | 'box';
    /** What colour its label is: the role of what is in it, as the core draws it. */
    role: string;
    /** 0 to 1. */
    full?: number;
    width?: number;
  }

  let { kind, role, full = 1, width = 44 }: Props = $props();
  const id = $props.id();

  const OUTLINE = {
    can: 'M4 10Q22 4 40 10V54Q22 60 4 54Z',
    bag: 'M7 6H37L41 16V58H3V16Z',
    box: 'M4 16L12 8H40V50L32 58H4Z',
  };
</script>

<svg viewBox="0 0 44 64" {width} height={(width * 64) / 44} aria-hidden="true">
  <clipPath id="{id}-pack"><path d={OUTLINE[kind]} /></clipPath>
  <path class="empty" d={OUTLINE[kind]} />
  <g clip-path="url(#{id}-pack)">
    <rect class="fill" x="0" y={6 + 52 * (1 - full)} width="44" height="60" />
    <rect class="label" data-role={role} x="0" y="26" width="44" height="16" />
  </g>
  <path class="line" d={OUTLINE[kind]} />
  {#if kind === 'can'}
    <path class="line" d="M4 10Q22 16 40 10M8 12C6 0 38 0 36 12" />
  {:else if kind === 'bag'}
    <path class="line" d="M7 11H37" />
  {:else}
    <path class="line" d="M4 16H32L40 8M32 16V58" />
  {/if}
</svg>

<style>
  .empty {
    fill: var(--paper);
  }

  .fill {
    fill: var(--line-strong);
  }

  .label {
    fill: var(--ink-soft);
  }

  .label[data-role='PRIMER'] {
    fill: var(--primer);
  }

  .label[data-role='BODY'],
  .label[data-role='BASE'] {
    fill: var(--body);
  }

  .label[data-role='STAIN'],
  .label[data-role='ANTIQUE'] {
    fill: var(--stain);
  }

  .label[data-role='CLEAR'],
  .label[data-role='SEALER'],
  .label[data-role='FINISH'] {
    fill: var(--chalk);
  }

  .line {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
</style>

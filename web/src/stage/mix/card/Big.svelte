<script lang="ts">
  interface Props {
    text: string;
    /** What it is of. */
    of?: string;
    /** The name of a part. */
    part?: boolean;
    /** It counts down. */
    timer?: boolean;
  }

  let { text, of = '', part = false, timer = false }: Props = $props();
</script>

<p class="big" class:part role={timer ? 'timer' : undefined}>
  {text}{#if of}<small>{of}</small>{/if}
</p>

<style>
  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 22px;
    align-items: baseline;
    font: 600 clamp(64px, 13vw, 170px) / 0.95 var(--figures);
    font-variant-numeric: proportional-nums;
  }

  p[role='timer'] {
    font-variant-numeric: tabular-nums;
  }

  small {
    font: 400 26px var(--text);
    color: var(--ink-soft);
  }

  .part {
    font-size: clamp(48px, 7vw, 84px);
    color: var(--chalk);
  }
</style>

<script lang="ts">
  import { getDesk } from '../app/desk';
  import type { FigureView, Finding } from '../api/types';

  interface Props {
    figure: FigureView;
    finding?: Finding;
    /** Another wording of the figure, where a table asks for it. */
    text?: string;
    size?: 'plain' | 'big';
  }

  let { figure, finding, text, size = 'plain' }: Props = $props();
  const desk = getDesk();
  const current = $derived(desk.opened?.of === figure);
</script>

<button
  type="button"
  class={size}
  aria-pressed={current}
  title="Show the working"
  onclick={() => desk.open(figure, finding)}>{text ?? figure.text}</button
>

<style>
  button {
    border: 0;
    padding: 0;
    background: none;
    cursor: pointer;
    font: 600 18px/1.2 var(--figures);
    font-variant-numeric: tabular-nums;
    border-block-end: 2px dotted var(--chalk);
    text-align: inherit;
  }

  button:hover,
  button[aria-pressed='true'] {
    color: var(--chalk);
  }

  .big {
    font-size: 30px;
  }

  @media (pointer: coarse) {
    button {
      min-block-size: 32px;
    }
  }
</style>

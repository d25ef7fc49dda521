<script lang="ts">
  import type { Mark } from '../api/types';

  interface Props {
    mark: Mark;
    /** Shown beside the shape; a shape never stands alone. */
    word?: string;
    size?: 'small' | 'large';
  }

  let { mark, word, size = 'small' }: Props = $props();

  const words: Record<Mark, string> = {
    NOT_STARTED: 'not started',
    GO: 'go',
    WATCH: 'watch',
    HOLD: 'hold',
    STOP: 'stop',
    IN_HAND: 'in hand',
    WET: 'wet',
    CURING: 'curing',
    WINDOW_OPEN: 'window open',
    DONE: 'done',
    OVERDUE: 'overdue',
  };
</script>

<span class="mark" class:large={size === 'large'} data-mark={mark}>
  <svg viewBox="0 0 16 16" aria-hidden="true">
    {#if mark === 'GO'}
      <circle cx="8" cy="8" r="7" fill="currentColor" />
    {:else if mark === 'WATCH'}
      <circle cx="8" cy="8" r="5.5" fill="none" stroke="currentColor" stroke-width="3" />
    {:else if mark === 'HOLD'}
      <path d="M2 1h4.5v14H2zM9.500 1H14v14H9.500z" fill="currentColor" />
    {:else if mark === 'STOP'}
      <path d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" fill="currentColor" />
    {:else if mark === 'WET'}
      <path
        d="M8 .5c3 4 5.500 6.500 5.500 9.500a5.500 5.500 0 0 1-11 0C2.500 7 5 4.500 8 .5z"
        fill="currentColor"
      />
    {:else if mark === 'CURING'}
      <circle cx="8" cy="8" r="6.500" fill="none" stroke="currentColor" stroke-width="1.500" />
      <path d="M8 1.500a6.500 6.500 0 0 1 0 13z" fill="currentColor" />
    {:else if mark === 'WINDOW_OPEN'}
      <path
        d="M5.500 1.500H2v13h3.500M10.500 1.500H14v13h-3.500"
        fill="none"
        stroke="currentColor"
        stroke-width="2.500"
      />
    {:else if mark === 'IN_HAND'}
      <circle cx="8" cy="8" r="6.500" fill="none" stroke="currentColor" stroke-width="1.500" />
      <path d="M8 8V1.500A6.500 6.500 0 0 1 14.500 8z" fill="currentColor" />
    {:else if mark === 'DONE'}
      <path d="M2 8.500l4 4 8-9" fill="none" stroke="currentColor" stroke-width="3" />
    {:else if mark === 'OVERDUE'}
      <path d="M8 1l7.500 14H.5z" fill="currentColor" />
    {:else}
      <circle
        cx="8"
        cy="8"
        r="6"
        fill="none"
        stroke="currentColor"
        stroke-width="1.800"
        stroke-dasharray="2.600 2.100"
      />
    {/if}
  </svg>
  <span class="word">{word ?? words[mark]}</span>
</span>

<style>
  .mark {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    font-weight: 600;
    color: var(--ink-soft);
    white-space: nowrap;
  }

  svg {
    inline-size: 13px;
    block-size: 13px;
    flex: none;
  }

  .large {
    font: 600 40px/1 var(--figures);
    text-transform: uppercase;
    gap: 12px;
  }

  .large svg {
    inline-size: 34px;
    block-size: 34px;
  }

  [data-mark='GO'],
  [data-mark='DONE'] {
    color: var(--go);
  }

  [data-mark='WATCH'],
  [data-mark='IN_HAND'] {
    color: var(--watch);
  }

  [data-mark='HOLD'] {
    color: var(--hold);
  }

  [data-mark='STOP'],
  [data-mark='OVERDUE'] {
    color: var(--stop);
  }

  [data-mark='WET'],
  [data-mark='CURING'] {
    color: var(--wet);
  }

  [data-mark='WINDOW_OPEN'] {
    color: var(--chalk);
  }
</style>

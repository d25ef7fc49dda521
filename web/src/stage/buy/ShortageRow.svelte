<script lang="ts">
  import type { DeliveryCheck } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';

  interface Props {
    shortage: DeliveryCheck['shortages'][number];
  }

  let { shortage }: Props = $props();
</script>

<p role="status">
  <Mark mark={shortage.coming ? 'WATCH' : 'HOLD'} word="short" />
  <span
    >{shortage.sheet}{shortage.colour ? `, ${shortage.colour}` : ''}: what is there is
    <FigureButton figure={shortage.there} />, and does not reach <b>{shortage.breaks}</b>.
    <FigureButton figure={shortage.missing} /> are missing{shortage.coming
      ? ', and on their way'
      : ''}.</span
  >
</p>

<style>
  p {
    display: grid;
    grid-template-columns: 74px minmax(0, 1fr);
    gap: 8px;
    padding: 8px 12px;
    background: var(--hold-wash);
    border-inline-start: 6px solid var(--hold);
    margin-block-end: 8px;
  }
</style>

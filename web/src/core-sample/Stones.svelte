<script lang="ts">
  import { seedOf, stones } from './draw';

  interface Props {
    /** Whose stones these are. */
    name: string;
    width: number;
    top: number;
    bottom: number;
  }

  let { name, width, top, bottom }: Props = $props();
  const COLOURS = ['--stone-a', '--stone-b', '--stone-c', '--stone-d', '--concrete-light'];
  const paths = $derived(stones(seedOf(name), width, top, bottom, COLOURS.length));
</script>

{#each COLOURS as colour, i (colour)}<path style:fill="var({colour})" d={paths[i]} />{/each}

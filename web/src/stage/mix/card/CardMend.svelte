<script lang="ts">
  import type { WeighIn } from '../../../api/types';
  import Big from './Big.svelte';
  import type { InHand } from './card.svelte';
  import CardWho from './CardWho.svelte';
  import type { Mixing } from './mixing.svelte';
  import Say from './Say.svelte';
  import Tap from './Tap.svelte';
  import Taps from './Taps.svelte';

  interface Props {
    mixing: Mixing;
    hand: InHand;
    /** What is wrong with it. */
    weighed: WeighIn;
  }

  let { mixing, hand, weighed }: Props = $props();
  const adding = $derived(weighed.call === 'ADD');
</script>

<Say wrong>{adding ? 'Not whole yet' : 'Throw it away'}</Say>
{#each weighed.parts as p (p.part)}
  {#if p.add && adding}
    <Big text="+ {p.add.text}" of="of {p.part}" />
    <Say>The scale then shows {weighed.parts[hand.readings.length]?.target.text ?? ''}.</Say>
  {/if}
{/each}
<Say>{weighed.words}</Say>
<CardWho sending={mixing.sending} />
<Taps>
  {#if adding}<Tap main onclick={() => mixing.added()}>It is in</Tap>{/if}
  <Tap onclick={() => mixing.card.put({ weighed: null })}>I misread the scale</Tap>
  <Tap disabled={mixing.sending.busy} onclick={() => mixing.thrownAway()}
    >Thrown away: begin again</Tap
  >
</Taps>

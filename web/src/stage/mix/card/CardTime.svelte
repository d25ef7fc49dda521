<script lang="ts">
  import type { LayerReport, MixStage } from '../../../api/types';
  import { appClock } from '../../../app/clock.svelte';
  import { go } from '../../../app/route.svelte';
  import { readyToRing, ring } from '../../../parts/bell';
  import { after, countdown } from '../../../parts/time';
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
    layer: LayerReport;
    /** One that pours nothing: it takes its time, or the floor. */
    stage: MixStage;
    back: string;
  }

  let { mixing, hand, layer, stage, back }: Props = $props();

  const until = $derived(hand.since && stage.minutes > 0 ? after(hand.since, stage.minutes) : null);
  const over = $derived(until !== null && until <= appClock.now);
  const busy = $derived(mixing.sending.busy);
  const takes = $derived(stage.minutes > 0 ? `${stage.minutes} min` : 'until even');

  let rung = '';
  $effect(() => {
    const mark = over ? `${hand.at} ${hand.since}` : '';
    if (mark !== '' && mark !== rung) {
      rung = mark;
      ring();
    }
  });

  function start() {
    readyToRing();
    mixing.card.put({ since: appClock.now.toISOString() });
  }

  function mixed(goes: 'on' | 'here' | 'off') {
    readyToRing();
    void mixing.mixed(goes);
  }

  const done = $derived(stage.kind === 'COMBINE' ? 'Start stirring' : 'It is mixed');

  function spread() {
    mixing.card.end();
    go(back);
  }
</script>

{#snippet stir()}
  {#if mixing.grown}
    <Say wrong>
      It is {mixing.grown.amount.text} now, {mixing.grown.over?.text ?? ''} more than for this bay. Where
      does that go?
    </Say>
    <Taps>
      {#if mixing.grown.covers}
        <Tap main disabled={busy} onclick={() => mixed('on')}
          >On, over {mixing.grown.covers.text}: {done.toLowerCase()}</Tap
        >
      {/if}
      <Tap disabled={busy} onclick={() => mixed('here')}
        >All on {hand.next.run.area.text}, thicker</Tap
      >
      <Tap disabled={busy} onclick={() => mixed('off')}>It stays off the floor</Tap>
    </Taps>
  {:else}
    <Taps><Tap main disabled={busy} onclick={() => mixed('here')}>{done}</Tap></Taps>
  {/if}
{/snippet}

<Say>{stage.words}</Say>
{#if stage.kind === 'COMBINE' && !hand.together}
  <Big text={takes} of="all together" />
  <Say>
    {mixing.life
      ? 'The pot life begins with the first turn.'
      : 'The log counts the batch as mixed from the moment you begin to stir.'}
  </Say>
  <CardWho sending={mixing.sending} asked={layer.asksReason} />
  {@render stir()}
{:else if stage.kind === 'SPREAD'}
  <Big text={(hand.over ?? hand.next.run.area).text} of="to cover" />
  {#if !hand.together}<CardWho sending={mixing.sending} asked={layer.asksReason} />{/if}
  {#if hand.together}
    <Taps><Tap main onclick={spread}>It is on the floor</Tap></Taps>
  {:else}
    {@render stir()}
  {/if}
{:else}
  <Big
    timer
    text={until ? (over ? 'Done' : countdown(until, appClock.now)) : takes}
    of={stage.part || 'all together'}
  />
  <Taps>
    {#if stage.minutes > 0 && !until}<Tap main onclick={start}>Start the clock</Tap>{/if}
    <Tap main={over || stage.minutes === 0} onclick={() => mixing.card.on()}
      >{over || stage.minutes === 0 ? 'Next' : 'Go on without it'}</Tap
    >
  </Taps>
{/if}

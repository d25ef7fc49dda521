<script lang="ts">
  import type { MixStage, Portion } from '../../../api/types';
  import Big from './Big.svelte';
  import type { InHand } from './card.svelte';
  import type { Mixing } from './mixing.svelte';
  import Say from './Say.svelte';
  import Tap from './Tap.svelte';
  import Taps from './Taps.svelte';

  interface Props {
    mixing: Mixing;
    hand: InHand;
    stage: MixStage;
    portion: Portion;
  }

  let { mixing, hand, stage, portion }: Props = $props();

  /** Whether the scale showed something else. */
  let other = $state(false);
  let reading = $state('');
  const target = $derived(mixing.target);
  /** Told for the plan alone: after something else went in, the scale answers. */
  const within = $derived(target && target === portion.scale ? portion.within : undefined);
  const fault = $derived(mixing.sending.fault(`readings[${hand.readings.length}]`));

  function asAsked() {
    other = false;
    mixing.unheard = false;
    void mixing.isIn();
  }

  async function shows(event: SubmitEvent) {
    event.preventDefault();
    if (await mixing.shows(reading)) {
      other = false;
      reading = '';
    }
  }

  function back() {
    other = false;
    mixing.unheard = false;
  }
</script>

<Say>{stage.words}</Say>
<Big text={portion.part} part />
{#if target}
  <Big text={target.text} of="on the scale" />
  <Say>
    {mixing.follows?.measured ?? portion.measured}{portion.mass
      ? `, ${(mixing.follows?.amount ?? portion.mass).text} of it`
      : ''}{within ? `; ${within.from.text} to ${within.to.text} is right` : ''}
  </Say>
{:else}
  <Big
    text={portion.measured}
    of={portion.line
      ? `line ${portion.line.text}`
      : portion.scoops
        ? portion.scoops.text
        : portion.volume.text}
  />
{/if}
{#if portion.most}<Say>At most {portion.most.text}.</Say>{/if}
{#if other}
  <form onsubmit={shows}>
    <label for="shows">The scale shows</label>
    <input id="shows" inputmode="decimal" autocomplete="off" bind:value={reading} />
    {#if fault}<p class="fault">Accepted: {fault.accepted}.</p>{/if}
    {#if mixing.unheard}
      <p class="fault" role="alert">
        No signal: what follows from that is worked out where the job is kept. {within
          ? `From ${within.from.text} to ${within.to.text} it is right as it is.`
          : ''}
        Otherwise wait with it, or work it out: {hand.next.recipe.words}.
      </p>
    {/if}
    <Taps>
      <Tap main type="submit">{mixing.unheard ? 'Ask again' : 'That is what it shows'}</Tap>
      {#if mixing.unheard && within}<Tap onclick={asAsked}>It is within that</Tap>{/if}
      <Tap onclick={back}>Back</Tap>
    </Taps>
  </form>
{:else}
  <Taps>
    <Tap main onclick={asAsked}>{target ? 'It shows that' : 'It is in'}</Tap>
    {#if target}<Tap onclick={() => (other = true)}>It shows something else</Tap>{/if}
  </Taps>
{/if}

<style>
  form {
    display: grid;
    gap: 8px;
    font-size: 26px;
  }

  input {
    inline-size: 100%;
    max-inline-size: 420px;
    min-block-size: 84px;
    padding-inline: 14px;
    border: 2px solid var(--line-strong);
    background: var(--field);
    font: 600 56px var(--figures);
  }

  .fault {
    max-inline-size: 34em;
    color: var(--stop);
    font-size: 20px;
  }
</style>

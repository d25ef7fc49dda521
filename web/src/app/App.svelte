<script lang="ts">
  import JobScreen from './JobScreen.svelte';
  import KeysHelp from './KeysHelp.svelte';
  import Rack from '../rack/Rack.svelte';
  import Prices from '../stage/buy/Prices.svelte';
  import Systems from '../stage/system/Systems.svelte';
  import Practices from '../stage/practice/Practices.svelte';
  import Instruments from '../stage/instrument/Instruments.svelte';
  import Shelf from '../stage/product/Shelf.svelte';
  import { appClock } from './clock.svelte';
  import { known } from './reference.svelte';
  import { router } from './route.svelte';
  import { plainKey } from './keys';
  import { leaveStale } from '../parts/dialogs';

  let help = $state(false);
  const route = $derived(router.route);

  leaveStale();
  $effect(() => router.start());
  $effect(() => appClock.start());
  $effect(() => void known.load().catch(() => undefined));

  function onkeydown(event: KeyboardEvent) {
    if (plainKey(event) === '?') {
      help = !help;
    }
  }
</script>

<svelte:window {onkeydown} />

{#if route.at === 'rack'}
  <Rack />
{:else if route.at === 'shelf'}
  <Shelf slug={route.slug} />
{:else if route.at === 'systems'}
  <Systems id={route.id} />
{:else if route.at === 'prices'}
  <Prices />
{:else if route.at === 'practices'}
  {#key route.jobId}<Practices jobId={route.jobId} />{/key}
{:else if route.at === 'instruments'}
  <Instruments id={route.id} />
{:else}
  {#key route.jobId}
    <JobScreen
      jobId={route.jobId}
      zoneId={route.zoneId}
      stratum={route.at === 'job' ? route.stratum : 'log'}
      section={route.at === 'job' ? route.section : ''}
    />
  {/key}
{/if}

{#if help}<KeysHelp onclose={() => (help = false)} />{/if}

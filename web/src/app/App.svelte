<script lang="ts">
  import JobScreen from './JobScreen.svelte';
  import KeysHelp from './KeysHelp.svelte';
  import Later from './Later.svelte';
  import Unsent from './Unsent.svelte';
  import Rack from '../rack/Rack.svelte';
  import { appClock } from './clock.svelte';
  import { outbox } from './outbox.svelte';
  import { known } from './reference.svelte';
  import { router } from './route.svelte';
  import { screens } from './screens';
  import { plainKey } from './keys';
  import { leaveStale } from '../parts/dialogs';

  let help = $state(false);
  const route = $derived(router.route);

  leaveStale();
  $effect(() => router.start());
  $effect(() => appClock.start());
  $effect(() => outbox.start());
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
  <Later screen={screens.shelf} given={{ slug: route.slug }} />
{:else if route.at === 'systems'}
  <Later screen={screens.systems} given={{ id: route.id }} />
{:else if route.at === 'prices'}
  <Later screen={screens.prices} given={{}} />
{:else if route.at === 'practices'}
  {#key route.jobId}<Later screen={screens.practices} given={{ jobId: route.jobId }} />{/key}
{:else if route.at === 'instruments'}
  <Later screen={screens.instruments} given={{ id: route.id }} />
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

<Unsent />
{#if help}<KeysHelp onclose={() => (help = false)} />{/if}

<script lang="ts">
  import type { Fault } from '../../api/call';
  import { appClock } from '../../app/clock.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import { toWall } from '../../parts/time';

  interface Props {
    /** The floor's wall clock; empty for now. */
    value: string;
    timeZone: string;
    fault: Fault | undefined;
  }

  let { value = $bindable(), timeZone, fault }: Props = $props();
</script>

<TextEntry
  label="When"
  type="datetime-local"
  hint="empty: now, {toWall(appClock.now, timeZone).slice(11)}"
  {fault}
  bind:value
/>

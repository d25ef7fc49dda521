<script lang="ts">
  import { buyTogether } from '../../api/client';
  import type { JobHead, TakeOffView } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    view: TakeOffView;
  }

  let { desk, job, view }: Props = $props();
  let open = $state(false);
  let picked = $state<string[]>([]);
  const sending = new FormState();
  const others = $derived(view.together.filter((t) => t.id !== job.id));
  const all = $derived([...others, ...view.others]);

  function choose() {
    picked = others.map((t) => t.id);
    open = true;
  }

  async function save() {
    const jobs = [job.id, ...picked];
    const said = picked.length > 0 ? 'Bought together' : 'Bought alone';
    if (await sending.send(jobs, (key) => desk.bought(buyTogether(job.id, key, jobs), said))) {
      open = false;
    }
  }
</script>

<div class="together" role="group" aria-label="Bought together">
  {#if open}
    <p>Bought together with {job.facts.name}:</p>
    <ul>
      {#each all as other (other.id)}
        <li>
          <label><input type="checkbox" value={other.id} bind:group={picked} /> {other.name}</label>
        </li>
      {:else}
        <li>There is no other job yet.</li>
      {/each}
    </ul>
    <Trouble problem={sending.problem} />
    <Button kind="main" disabled={sending.busy} onclick={() => void save()}>Buy together</Button>
    <Button kind="quiet" onclick={() => (open = false)}>Not now</Button>
  {:else if others.length > 0}
    <p>Together with <b>{others.map((t) => t.name).join(', ')}</b></p>
    <Button kind="quiet" onclick={choose}>Change</Button>
  {:else}
    <Button kind="quiet" onclick={choose}>Buy together with another job</Button>
  {/if}
</div>

<style>
  .together {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 12px;
    margin-block-end: 8px;
  }

  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
    inline-size: 100%;
  }

  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: var(--tap);
  }
</style>

<script lang="ts">
  import { currency, setCurrency } from '../../api/client';
  import Button from '../../parts/Button.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';

  let code = $state('');
  /** As it is kept. */
  let kept = $state('');
  const sending = new FormState();

  $effect(() => {
    currency().then(
      (c) => (code = kept = c.currency),
      // the prices beside it say why
      () => undefined,
    );
  });

  async function save(event: SubmitEvent) {
    event.preventDefault();
    await sending.send([code], async (key) => {
      code = kept = (await setCurrency(key, code)).currency;
    });
  }
</script>

<form onsubmit={save} novalidate>
  <TextEntry
    label="Prices are in"
    hint="a code such as CAD, EUR, GBP or USD; empty: not said"
    fault={sending.fault('currency')}
    bind:value={code}
    autocomplete="transaction-currency"
  />
  {#if code.trim().toUpperCase() !== kept}
    <Button type="submit" disabled={sending.busy}>Save</Button>
  {/if}
  <Trouble problem={sending.problem} shown={['currency']} />
</form>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
    align-items: center;
    max-inline-size: 480px;
    margin-block-start: 12px;
  }
</style>

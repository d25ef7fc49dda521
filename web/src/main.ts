import { mount } from 'svelte';
import './look/fonts.css';
import './look/tokens.css';
import './look/base.css';
import App from './app/App.svelte';

const target = document.getElementById('app');
if (!target) {
  throw new Error('index.html has no #app');
}
target.replaceChildren();
export default mount(App, { target });

import { remember, remembered } from '../parts/memory';

const KEY = 'openslab.by';

/** Who holds this device: kept here only, sent with every log entry. */
class Person {
  name = $state(remembered(KEY));

  remember(name: string): void {
    this.name = name;
    remember(KEY, name);
  }
}

export const person = new Person();

const KEY = 'openslab.by';

/** Who holds this device: kept here only, sent with every log entry. */
class Person {
  name = $state(localStorage.getItem(KEY) ?? '');

  remember(name: string): void {
    this.name = name;
    localStorage.setItem(KEY, name);
  }
}

export const person = new Person();

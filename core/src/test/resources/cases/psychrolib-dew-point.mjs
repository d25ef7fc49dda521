// Writes psychrolib-dew-point.csv. The table is committed, so that the test needs no network; run again with
//   npm install psychrolib@1.1.1 && node psychrolib-dew-point.mjs > psychrolib-dew-point.csv
import { createRequire } from 'node:module';
const psychrolib = createRequire(process.cwd() + '/')('psychrolib');
psychrolib.SetUnitSystem(psychrolib.SI);
console.log('# npm package psychrolib 1.1.1, GetTDewPointFromRelHum and, below 0, GetTDewPointFromVapPres of RH over water (Sonntag 1990), SI; made by psychrolib-dew-point.mjs');
console.log('air_c,rh_pct,dew_c');
for (let t = -10; t <= 45; t++) {
  for (let rh = 5; rh <= 100; rh += 5) {
    // the library takes humidity below 0 °C over ice; hygrometers tell it over water at every temperature
    const water = (rh / 100) * 611.2 * Math.exp((17.62 * t) / (243.12 + t));
    // nor does it let frost form on what is as warm as the air, which air near to saturation over water does
    if (t < 0 && water > psychrolib.GetSatVapPres(t)) {
      continue;
    }
    const dew = t < 0 ? psychrolib.GetTDewPointFromVapPres(t, water) : psychrolib.GetTDewPointFromRelHum(t, rh / 100);
    console.log(`${t},${rh},${dew.toFixed(4)}`);
  }
}

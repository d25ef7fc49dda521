// Writes psychrolib-dew-point.csv. The table is committed, so that the test needs no network; run again with
//   npm install psychrolib@1.1.1 && node psychrolib-dew-point.mjs > psychrolib-dew-point.csv
import { createRequire } from 'node:module';
const psychrolib = createRequire(process.cwd() + '/')('psychrolib');
psychrolib.SetUnitSystem(psychrolib.SI);
console.log('# npm package psychrolib 1.1.1, GetTDewPointFromRelHum, SI; made by psychrolib-dew-point.mjs');
console.log('air_c,rh_pct,dew_c');
for (let t = -10; t <= 45; t++) {
  for (let rh = 5; rh <= 100; rh += 5) {
    console.log(`${t},${rh},${psychrolib.GetTDewPointFromRelHum(t, rh / 100).toFixed(4)}`);
  }
}

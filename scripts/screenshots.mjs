// Refreshes docs/screenshots from the demo data: one picture of each main view at 1280×800.
import { join } from 'node:path';
import { launchBrowser } from '../bin/browser.mjs';
import { startServer } from '../bin/server.mjs';
import { ensureBuilt, root } from './run.mjs';

await ensureBuilt();
const server = await startServer();
const browser = await launchBrowser();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
/** @param {string} name */
const shoot = (name) => page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) });
const final = () => page.getByText(/passes, final/).waitFor({ timeout: 240_000 });
/** @param {string} name */
const open = async (name) => {
  await page
    .getByRole('button', { name: `Open ${name}` })
    .first()
    .click();
  // of the bench, not of the loops' cards
  await page.getByLabel('Quality of the picture').filter({ hasText: 'fps' }).waitFor({ timeout: 60_000 });
  await page.keyboard.press('Space');
};
/** @param {string} name */
const card = (name) => page.getByRole('article', { name, exact: true }).getByRole('button').first().click();
/** @param {number} frame */
const goTo = async (frame) => {
  await page.getByRole('slider', { name: 'Time in the lap' }).focus();
  // wherever it was when it stopped
  await page.keyboard.press('Home');
  for (let i = 0; i < frame / 10; i++) await page.keyboard.press('PageUp');
  await page.keyboard.press('Escape');
};

await page.goto(server.url);
await page.getByRole('button', { name: 'Open Plankton bloom' }).waitFor();
await page.waitForTimeout(3000);
await shoot('loops');

await open('Ropewalk tunnel');
await page.getByRole('article', { name: 'Rope frames' }).getByRole('button').first().click();
await goTo(80);
await final();
await shoot('build');
await page.keyboard.press('4');
await page.getByRole('button', { name: 'Check the pictures' }).click();
await page.getByText(/join .* score/).waitFor({ timeout: 300_000 });
await page.getByRole('button', { name: 'Difference', exact: true }).click();
await page.getByText(/code values apart/).waitFor({ timeout: 60_000 });
await page.waitForTimeout(8000);
await shoot('seam');
await page.getByRole('button', { name: 'Show the piece' }).click();
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Buoy ring');
await final();
const covers = page.getByRole('button', { name: /^Covered with:/ });
await covers.scrollIntoViewIfNeeded();
await covers.click();
await page.getByRole('option', { name: 'Salt' }).locator('img').waitFor({ timeout: 240_000 });
await shoot('matter');
await page.keyboard.press('Escape');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Pier in ink');
await goTo(40);
await page.getByRole('button', { name: 'Draws' }).scrollIntoViewIfNeeded();
await final();
await shoot('lines');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Lantern theatre');
await page.keyboard.press('3');
await card('Air');
await goTo(60);
await final();
await shoot('air');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Harbour boards');
await goTo(120);
await page.getByRole('group', { name: 'Shows', exact: true }).scrollIntoViewIfNeeded();
await page
  .getByRole('group', { name: 'Shows', exact: true })
  .getByRole('button', { name: /Scanning beam/ })
  .first()
  .click();
await final();
await shoot('screens');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Buoy ring');
await page.keyboard.press('2');
await card('Lens');
await page.locator('[data-row="flight.focalMm"]').click();
await page
  .getByRole('slider', { name: /^Key at frame \d+$/ })
  .first()
  .click({ force: true });
await goTo(40);
await final();
await shoot('fly');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Tide vault');
await page.keyboard.press('2');
await card('Lens');
await goTo(40);
await final();
await shoot('dome');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Lamp dome');
await page.keyboard.press('2');
await card('Route');
await page.getByRole('button', { name: 'Map', exact: true }).click();
await goTo(100);
await final();
await shoot('circuit');
await page.getByRole('button', { name: 'Observe' }).click();
await page.getByRole('button', { name: 'Comfort' }).click();
await page.waitForTimeout(6000);
await final();
await shoot('observer');
await page.getByRole('button', { name: 'Back to the camera' }).click();
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Bell field');
await goTo(170);
await final();
await shoot('title');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Slipway spiral');
await page.keyboard.press('5');
await page.getByRole('button', { name: 'Proof and full size' }).click();
await page.getByRole('button', { name: 'Render' }).first().click();
await page.getByText(/frames · .* left/).waitFor({ timeout: 60_000 });
await shoot('export');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Reed flats');
await page.getByRole('article', { name: 'Umbels' }).getByRole('button').first().click();
await page.getByRole('button', { name: 'Siblings of Umbels' }).click();
await page.getByRole('region', { name: 'Siblings' }).locator('img').nth(7).waitFor({ timeout: 120_000 });
await goTo(60);
await final();
await shoot('world');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Impossible pier');
await card('Walkway');
await page.getByText(/^Reads through a lens/).scrollIntoViewIfNeeded();
await final();
await shoot('impossible');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Salt lattice');
await page.keyboard.press('3');
await page.getByRole('article', { name: 'Key' }).getByRole('button').first().click();
await final();
await shoot('look');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Kit ring');
await goTo(90);
await final();
await page.getByRole('region', { name: 'Bulkhead lamp, 52 to 112' }).scrollIntoViewIfNeeded();
await page.getByRole('button', { name: 'Bulkhead lamp, 52 to 112', exact: true }).click();
await page.waitForTimeout(1000);
await page.getByRole('region', { name: 'Ring buoy, 166 to 222' }).scrollIntoViewIfNeeded();
await shoot('models');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Tumbler and streaks');
await goTo(60);
await final();
await page.getByRole('img', { name: /^Likeness/ }).scrollIntoViewIfNeeded();
await shoot('figure');
await page.getByRole('button', { name: 'Back to the loops' }).click();

await open('Buoy ring');
await page.keyboard.press('3');
await card('Grade');
await page.getByRole('article', { name: 'Grade' }).scrollIntoViewIfNeeded();
await goTo(111);
await final();
await shoot('finish');

await browser.close();
await server.close();
process.exit(0);

/** A house with a mark that nobody knows: what is asked first, and what opens once it is answered. */
import { expect, test } from '@playwright/test';
import { expectAccessible, expectNoSideways, expectSaved, goByLink, openDemo, goTo } from './helpers';

test('a mark that nobody knows closes every way, is asked about first, and opens them once it is stated', async ({
  page
}) => {
  await openDemo(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the job as a file' }).click();
  const text = await (await (await waiting).createReadStream()).toArray();
  const job = JSON.parse(Buffer.concat(text as Buffer[]).toString('utf8')) as {
    id: string;
    name: string;
    equipment: { id: string; screws: { mark: string }[] }[];
  };
  const furnace = job.equipment[0]!;
  job.equipment = job.equipment.map((machine) =>
    machine.id === furnace.id
      ? {
          ...machine,
          screws: machine.screws.map((screw) => (screw.mark === 'W' ? { ...screw, mark: 'QX' } : screw))
        }
      : machine
  );
  await goByLink(page, '/');
  const odd = { ...job, id: 'job-odd', name: 'Odd schoolhouse' };
  await page.getByLabel('Bring in a file').setInputFiles({
    name: 'odd.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(odd))
  });
  await expect(page.getByText('Odd schoolhouse').first()).toBeVisible();
  await goByLink(page, '/job/job-odd/th-classroom/supply');

  const looks = page.getByRole('region', { name: 'Look first' });
  await expect(looks).toContainText('Look up QX in the diagram inside the door');
  await expect(page.locator('[data-next]')).toContainText('Look up QX in the diagram inside the door');
  // Not refused for good: what the ways wait for stands once, and leaving it is for until then.
  const undecided = page.getByRole('region', { name: 'Not decided yet' });
  await expect(undecided).toContainText('Nobody knows what QX at the');
  await undecided
    .getByText(/ways wait for it/)
    .first()
    .click();
  await expect(undecided.locator('[data-method=spare-conductor]')).toContainText('Use a spare wire');
  await expect(page.locator('#way-none')).toContainText('Until then');
  await expectAccessible(page);
  await expectNoSideways(page);

  await goTo(page, 'thermostat');
  await expect(page.getByRole('region', { name: 'As far as is known' })).toContainText(
    'Nobody knows what QX'
  );
  await expect(page.getByRole('list', { name: 'Thermostats' })).toContainText('Fits so far');
  await page.getByRole('link', { name: /^Sheet of the .*Fellgate 4/ }).click();
  const advice = page.getByRole('region', { name: 'What would make it fit' });
  await expect(advice).toContainText('judged by what the wall says');
  await expectAccessible(page);

  await goTo(page, 'sheet');
  const screw = page.locator('[data-screw]').filter({ hasText: 'QX' });
  await expect(screw).toContainText('nobody knows what it is for');
  await screw.getByRole('button', { name: 'What it is for' }).click();
  await screw.getByLabel('It is for').selectOption({ label: 'first heat stage (W)' });
  await expectSaved(page);
  await goTo(page, 'supply');
  await expect(undecided).toBeHidden();
  await expect(page.locator('[data-method=spare-conductor]')).toContainText('Recommended');
});

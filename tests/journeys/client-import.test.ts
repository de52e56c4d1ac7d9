import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { control, go, textOf, words } from './browser';
import { ownHouse } from './own-house';

describe('clients from another program', () => {
  const house = ownHouse('client-import');
  const pick = async (name: string, text: string) => {
    const file = path.join(house.folder, name);
    writeFileSync(file, text);
    await go(house.page, `${house.url}/clients/import`);
    const input = await house.page.waitForSelector('input[type="file"]');
    await input?.uploadFile(file);
  };

  it('are looked at, doubles found, added, and taken back in one press', async () => {
    const { page } = house;
    await pick(
      'address book.csv',
      [
        'Surname;First name;Date of birth;Mobile;E-mail',
        'Winterbourne;Agda;18.04.1959;0151 7710;agda@winterbourne.example',
        // On record since the demo was made, misspelt here.
        'Olsvnag;Marit;;;marit.new@olsvang.example',
        'Winterborne;Agda;18.04.1959;;',
        'Nobody;;31.02.1980;;',
      ].join('\r\n'),
    );
    await words(page, 'What the columns hold');
    await control(page, 'button', 'Read and check it').click();
    await words(page, '4 rows read');
    const text = await textOf(page);
    expect(text).toContain('row 2 of this file');
    expect(text).toContain('31.02.1980');
    await control(page, 'button', 'Add 2 clients').click();
    await words(page, '2 clients added');

    await go(page, `${house.url}/clients?q=winterbourne`);
    expect(await textOf(page)).toContain('Agda Winterbourne');
    await go(page, `${house.url}/clients/import`);
    expect(await textOf(page)).toContain('address book.csv');
    await page.locator('::-p-text(Take it back)').click();
    await words(page, 'Taken back: 2 clients removed');
    await go(page, `${house.url}/clients?q=winterbourne`);
    expect(await textOf(page)).not.toContain('Agda Winterbourne');
  });
});

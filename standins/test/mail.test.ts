import { createTransport } from 'nodemailer';
import { startMail, type KeptMail, type MailStandIn } from '../src/mail.js';

let mail: MailStandIn;
beforeAll(async () => {
  mail = await startMail();
});
afterAll(() => mail.close());

test('sent mail is kept, shown with its letters made harmless, and listed by its recipient', async () => {
  const out = createTransport({ url: mail.smtpUrl });
  const send = (to: string, subject: string) => out.sendMail({ from: 'a@halt.example', to, subject, text: 'Grüße' });
  await send('b@halt.example', '<b>Über den Zaun</b>');
  await send('c@halt.example', 'Other');
  const told = (await (await fetch(`${mail.url}/mails?to=b@halt.example`)).json()) as KeptMail[];
  expect(told).toMatchObject([{ to: ['b@halt.example'], subject: '<b>Über den Zaun</b>', text: 'Grüße\n' }]);
  const page = await (await fetch(mail.url)).text();
  expect(page).toContain('&lt;b&gt;Über den Zaun');
  expect(page.indexOf('Other')).toBeLessThan(page.indexOf('Über'));
});

import { messages as first } from '@hervir/language/en/first';
import { messages as rest } from '@hervir/language/en/rest';
import { alsoSpeak, speak, t } from './t';

test('words that have not come yet stand as dots and are fetched; once all are here, an unknown one shows its code', () => {
  let fetched = 0;
  speak('en-GB', [first], () => {
    fetched += 1;
  });
  expect(t('tonight.begin-now')).toBe('Begin now');
  expect(fetched).toBe(0);
  expect(t('rescue.burn-error-or-it-smells')).toBe('…');
  expect(fetched).toBe(1);
  alsoSpeak([rest]);
  expect(t('rescue.burn-error-or-it-smells')).toBe('Burn error, or it smells of scorching');
  expect(t('from.another-hervir' as 'rescue.burn-error-or-it-smells')).toBe('from.another-hervir');
  expect(fetched).toBe(1);
});

// @vitest-environment jsdom
import { fireEvent, render, screen } from '@testing-library/svelte';
import { expect, test } from 'vitest';
import FilePicker from './FilePicker.svelte';

const file = (name: string) => new File(['x'], name);

test('chosen files are sent together, and how far they are is shown until they are there', async () => {
  let sent: string[] = [];
  let done = () => {};
  let told: (share: number) => void = () => {};
  render(FilePicker, {
    label: 'Add files',
    purpose: 'Files to add',
    send: (files, progress) => {
      sent = files.map(({ name }) => name);
      told = progress;
      return new Promise<void>((resolve) => (done = resolve));
    }
  });
  await fireEvent.change(screen.getByLabelText('Files to add'), {
    target: { files: [file('a.csv'), file('b.csv')] }
  });
  expect(sent).toEqual(['a.csv', 'b.csv']);
  told(0.5);
  expect(await screen.findByText('2 files: 50 % sent')).toBeTruthy();
  done();
  expect(await screen.findByRole('button', { name: 'Add files' })).toBeTruthy();
});

test('files that are chosen while others are on their way are sent behind them', async () => {
  const sent: string[] = [];
  let done = () => {};
  render(FilePicker, {
    label: 'Add files',
    purpose: 'More files',
    send: (files) => {
      sent.push(files[0].name);
      return new Promise<void>((resolve) => (done = resolve));
    }
  });
  const input = screen.getByLabelText('More files');
  await fireEvent.change(input, { target: { files: [file('first.csv')] } });
  await fireEvent.change(input, { target: { files: [file('second.csv')] } });
  expect(sent).toEqual(['first.csv']);
  done();
  await expect.poll(() => sent).toEqual(['first.csv', 'second.csv']);
});

test('no file is nothing to send', async () => {
  let calls = 0;
  render(FilePicker, { label: 'Add', purpose: 'Files', send: async () => calls++ });
  await fireEvent.change(screen.getByLabelText('Files'), { target: { files: [] } });
  expect(calls).toBe(0);
});

import { expect, test } from 'vitest';
import type { DeliveryFile, Line } from '$lib/api/client';
import { modelOf, pictureOf } from './files';

const file = (number: number, path: string) =>
  ({ file: number, name: path.split('/').pop(), path, format: 'attachment' }) as DeliveryFile;

const line = (attachments: string, from = 0) =>
  ({ file: from, code: 'A', cells: { ATTACHMENT: { text: attachments } } }) as unknown as Line;

const files = [
  file(0, 'items/A.p21'),
  file(1, 'models/A.stp'),
  file(2, 'pictures/A.PNG'),
  file(3, 'pictures/B.png')
];

test('a model and a picture are found by their paths', () => {
  expect(modelOf(line('models/A.stp | pictures/a.png'), files)?.file).toBe(1);
  expect(pictureOf(line('models/A.stp | pictures/a.png'), files)?.file).toBe(2);
});

test('a name without folder is found where one file is called so', () => {
  expect(pictureOf(line('B.png'), files)?.file).toBe(3);
});

test('an item that was read from a solid has that solid', () => {
  expect(modelOf(line('', 1), files)?.file).toBe(1);
});

test('the model that is called by the code comes before others', () => {
  const more = [...files, file(4, 'models/A-in-holder.stp')];
  expect(modelOf(line('models/A-in-holder.stp | models/A.stp'), more)?.file).toBe(1);
});

test('what nobody sent is not there', () => {
  expect(modelOf(line('C.stp'), files)).toBeUndefined();
});

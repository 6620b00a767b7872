/** How tools get their numbers in a library, in the words of a sentence about them. */
export const numberings = [
  { value: 'keep', label: 'keep their numbers' },
  { value: 'next', label: 'take the next free numbers' },
  { value: 'range', label: 'take numbers of the range of their class' },
  { value: 'position', label: 'are numbered in this order' }
];

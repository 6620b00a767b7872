import type { DeliveryFile, Line } from '$lib/api/client';

const picture = /\.(png|jpe?g|gif|webp)$/i;
const model = /\.(stp|step)$/i;

/** The files that a line names, where they came with it. */
function named(line: Line, files: DeliveryFile[]): DeliveryFile[] {
  const paths = (line.cells.ATTACHMENT?.text ?? '').split('|').map((path) => path.trim());
  return paths.flatMap((path) => {
    const wanted = path.toLowerCase();
    const found =
      files.find((file) => file.path.toLowerCase() === wanted) ??
      files.find((file) => file.path.toLowerCase().endsWith('/' + wanted)) ??
      files.find((file) => file.name.toLowerCase() === wanted.split('/').pop());
    return found ? [found] : [];
  });
}

/** The model of a line: one that it names, or the file that it was read from. */
export function modelOf(line: Line, files: DeliveryFile[]): DeliveryFile | undefined {
  const models = named(line, files).filter((file) => model.test(file.name));
  const stem = (file: DeliveryFile) => file.name.replace(model, '').toLowerCase();
  return (
    models.find((file) => stem(file) === line.code.toLowerCase()) ??
    models[0] ??
    files.find((file) => file.file === line.file && model.test(file.name))
  );
}

/** The picture that a line names. */
export function pictureOf(line: Line, files: DeliveryFile[]): DeliveryFile | undefined {
  return named(line, files).find((file) => picture.test(file.name));
}

/** Where a file of a delivery can be seen. */
export const address = (delivery: number, file: DeliveryFile) =>
  `/api/v1/deliveries/${delivery}/files/${file.file}/content`;

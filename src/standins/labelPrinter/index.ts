import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** What a label printer's driver offers. */
export interface LabelPrinter {
  name: string;
  print(name: string, pdf: Uint8Array): Promise<void>;
}

/** Simulated label printer, 203 dpi: what it prints lands in a folder of the data folder. */
export const simulatedLabelPrinter = (home: string): LabelPrinter => ({
  name: 'label printer (simulated)',
  async print(name, pdf) {
    const tray = join(home, 'label-tray');
    await mkdir(tray, { recursive: true });
    await writeFile(join(tray, name), pdf);
  },
});

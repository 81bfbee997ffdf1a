export type MasterFormat = 'tiff' | 'jpeg' | 'png';

export type IccRemark = 'otherModel' | 'wrongClass' | 'unreadable' | 'output';

/** What was read from a master's file. */
export interface MasterFacts {
  format: MasterFormat;
  /** Pixels as stored turned upright (orientation applied). */
  width: number;
  height: number;
  bitsPerChannel: number;
  channels: number;
  colourModel: 'rgb' | 'grey';
  /** The resolution tag, pixels per inch; null when the file has none. Only a tag. */
  ppiTag: number | null;
  /** Description of the embedded ICC profile; null when untagged. */
  iccDescription: string | null;
  /**
   * What is odd about the embedded profile: it is for another colour model, of a class that
   * describes no picture, or unreadable (and then not used); or it describes a printer.
   */
  iccRemark?: IccRemark | null;
  /** EXIF orientation 1-8; 1 is upright. */
  orientation: number;
  bytes: number;
}

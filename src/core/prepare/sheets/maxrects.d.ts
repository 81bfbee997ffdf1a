/** The package names a file as its main one that Node cannot read as what it says it is. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export * from 'maxrects-packer';
}

/** The public face of the file formats: apart from the core's own, so that nobody loads them who opens no file. */
export { writeCsv } from './csv';
export { writeMidiFile } from './midi/writeMidi';
export { writeMusicXml, type XmlPart, type XmlSection } from './musicxml/writeXml';
export { openFile, packMxl, type Opened } from './open';
export { passageOf, type PassageAsk } from './passage';
export * from './piece';

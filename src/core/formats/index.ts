/** The public face of the file formats: apart from the core's own, so that nobody loads them who opens no file. */
export { writeCsv } from './csv';
export { writeMidiFile, type MidiPart } from './midi/writeMidi';
export { writeMusicXml, type XmlPart, type XmlScore, type XmlSection } from './musicxml/writeXml';
export { openFile, packMxl, type Opened } from './open';
export { instrumentFor, partOf, passageOf, type Passage, type PassageAsk } from './passage';
export * from './piece';
export { numberOf as quartersOf } from './fraction';

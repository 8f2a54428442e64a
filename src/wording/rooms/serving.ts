export const thisServerDoesNot =
  'This server does not answer to that name. Whoever runs it can add it to ALLOWED_HOSTS.';
export const thisAddressCannotBe = 'This address cannot be read: a percent sign in it is broken. Check the link.';
export const isNotAnsweredHere = (slice: string, allow: string) => `${slice} is not answered here; use ${allow}.`;
export const thereIsNothingAt = 'There is nothing at this address.';
export const thisWasSentBy =
  'This was sent by a page of another site. Only this server’s own pages, and programs, may ask here.';
export const compressedRequestsAreNot = 'Compressed requests are not read; send it uncompressed.';

export const dovePathListensOn = (host: string, port: number) => `Dove Path listens on http://${host}:${port}`;

export const portIsItMust = (slice: string) => `PORT is "${slice}"; it must be a whole number from 0 to 65535.`;
export const portIsInUse = (port: number) =>
  `Port ${port} is in use already. Stop what uses it, or choose another with PORT.`;
export const portMayNotBe = (port: number) =>
  `Port ${port} may not be used by this user. Choose one above 1023 with PORT.`;
export const isNotAnAddress = (host: string) =>
  `"${host}" is not an address of this machine. Set HOST to one, such as 127.0.0.1 or 0.0.0.0.`;
export const theServerCannotListen = (host: string, port: number, message: string) =>
  `The server cannot listen on ${host}:${port} (${message}).`;

export const thePlanTookLonger = (seconds: number) =>
  `The plan took longer than ${seconds} s; send the music in parts, or ask for fewer alternatives.`;

export const theRequestWasCut = 'The request was cut off before its end; send it again.';
export const tooManyPlansAre = (comeAgain: number) =>
  `Too many plans are being worked out; send it again in ${comeAgain} s.`;

export const theBookIsLarger = (mostBytes: number) => `The book is larger than ${mostBytes} bytes; send it in parts.`;
export const thisIsNotA = 'This is not a JSON array of requests; send one, or one request a line.';
export const theBookIsEmpty = 'The book is empty; send at least one request.';
export const aBookHoldsAt = (mostPages: number) =>
  `A book holds at most ${mostPages} requests; this one has more. Send it in parts.`;
export const nestedTooDeep = (most: number) =>
  `This is nested more than ${most} deep; a request never is. Check how it was made.`;
export const tooManyItems = (most: number) =>
  `A request holds at most ${most} notes, and no other list is longer; send the music in parts.`;
export const theReaderOfA = 'The reader of a book fell asleep.';
export const booksAreAskedFor = 'Books are asked for with POST: a JSON array or one request a line.';

export const theRequestIsLarger = (mostBytes: number) =>
  `The request is larger than ${mostBytes} bytes; send it in parts.`;
export const plansAreAskedFor = 'Plans are asked for with POST and one JSON request.';

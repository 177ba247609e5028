/** Ids of rows, as they come in a path or a body. */

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i
export const isUuid = (text: string | undefined): text is string => text !== undefined && UUID.test(text)

import { customType, timestamp } from 'drizzle-orm/pg-core'

export const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' })
export const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' })

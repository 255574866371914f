import { moneyByServer } from './money'
import { openingByServer } from './opening'
import { ordersByServer } from './orders'
import { planByServer } from './plan'

/** What only the server writes into a log. */
export const byServer = { ...openingByServer, ...planByServer, ...ordersByServer, ...moneyByServer }

export type ServerType = keyof typeof byServer

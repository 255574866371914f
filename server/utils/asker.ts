export { askerOf, garageOf } from '../who/asker'

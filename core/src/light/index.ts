/**
 * Daylight and wind by the hour.
 *
 * @example
 * evOfDaylight(40, 'clear'); // what a meter reads with the sun 40° high
 */
export { evOfDaylight, SKIES, type Sky } from './daylight';
export { simulatedForecast, type WindForecast, WindForecastSchema } from './wind-forecast';

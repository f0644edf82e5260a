/**
 * Sun, daylight and wind by the hour.
 *
 * @example
 * evOfDaylight(40, 'clear'); // what a meter reads with the sun 40° high
 */
export { daylightKlx, evOfDaylight, SKIES, type Sky } from './daylight';
export { evOfLux, luxFrom, luxOfEv } from './lamp';
export { letsThrough, throughShare } from './pattern';
export { brewsterDeg, INDEX, leftByPolariser, reflectedShares } from './reflection';
export { FROM_ABOVE_DEG, type LightSide, sideOfLight, type SideOfLight, sideWords } from './side';
export {
  clockAt,
  type DayLight,
  lightAt,
  type LightWindow,
  momentOf,
  type Sun,
  sunAt,
  SUNRISE_DEG,
  towardsSun,
  windowsOf,
} from './sun';
export { simulatedForecast, type WeatherForecast, WeatherForecastSchema } from './weather-forecast';

export {
  temperatureFromSignal,
  temperatureSignalVolts,
  thermistorCelsius,
  thermistorOhms,
  type ThermistorInput,
  type ThermistorLaw,
} from './thermistor.ts';

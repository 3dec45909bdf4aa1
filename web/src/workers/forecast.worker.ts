import { expose } from 'comlink';
import { forecastApi } from './forecast-api';

expose(forecastApi);

import * as psychro from 'psychrolib';
import { latentHeatJPerKg, saturationPressureKPa, saturationTemperatureC } from './steam';

describe('steam', () => {
  test.each([
    [300, 3.53658941],
    [500, 2638.89776],
    [600, 12344.3146],
  ])('saturation pressure at %d K is the one of IAPWS R7-97(2012), table 35', (kelvin, kPa) => {
    expect(saturationPressureKPa(kelvin - 273.15)).toBeCloseTo(kPa, kPa > 1000 ? 4 : 8);
  });

  test.each([
    [100, 372.755919],
    [1000, 453.035632],
    [10_000, 584.149488],
  ])('saturation temperature at %d kPa is the one of IAPWS R7-97(2012), table 36', (kPa, kelvin) => {
    expect(saturationTemperatureC(kPa) + 273.15).toBeCloseTo(kelvin, 6);
  });

  test('agrees with a psychrometrics library within 0.1 % from 60 to 130 °C', () => {
    psychro.SetUnitSystem(psychro.SI);
    for (let celsius = 60; celsius <= 130; celsius += 5) {
      const theirs = psychro.GetSatVapPres(celsius) / 1000;
      expect(Math.abs(saturationPressureKPa(celsius) / theirs - 1)).toBeLessThan(1e-3);
    }
  });

  test('temperature undoes pressure', () => {
    for (let celsius = 20; celsius <= 140; celsius += 10) {
      expect(saturationTemperatureC(saturationPressureKPa(celsius))).toBeCloseTo(celsius, 9);
    }
  });

  test('an electric pot at 72 kPa works at 115.7 °C at sea level, a stovetop pot at 100 kPa at 120.4 (steam tables)', () => {
    expect(saturationTemperatureC(101.325 + 72)).toBeCloseTo(115.7, 1);
    expect(saturationTemperatureC(101.325 + 100)).toBeCloseTo(120.4, 1);
  });

  test('latent heat is that of the steam tables at 100 and 120 °C, and within 0.3 % at 80 (2308 kJ/kg; from memory)', () => {
    expect(latentHeatJPerKg(100)).toBeCloseTo(2_256_400, 6);
    expect(latentHeatJPerKg(120)).toBeCloseTo(2_202_000, 6);
    expect(Math.abs(latentHeatJPerKg(80) / 2_308_000 - 1)).toBeLessThan(3e-3);
  });

  test('says the range when asked outside it', () => {
    expect(() => saturationPressureKPa(400)).toThrow('temperature 400 is outside the range 0 to 373.946 °C');
    expect(() => saturationTemperatureC(Number.NaN)).toThrow(RangeError);
    expect(() => latentHeatJPerKg(20)).toThrow('60 to 140 °C');
  });
});

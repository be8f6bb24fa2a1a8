package app.latethistle.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class FrameRateTest {
  private static final FrameRate[] RATES = {
    FrameRate.FPS_24,
    FrameRate.of(24000, 1001),
    FrameRate.of(25, 1),
    FrameRate.of(30000, 1001),
    FrameRate.of(30, 1),
    FrameRate.of(12, 1),
    FrameRate.of(60000, 1001),
  };

  @ParameterizedTest
  @CsvSource({
    "24, 24",
    "48/2, 24",
    "24000/1001, 24000/1001",
    "23.976, 24000/1001",
    "23.98, 24000/1001",
    "29.97, 30000/1001",
    "59.94, 60000/1001",
    "25.0, 25",
    "12.5, 25/2",
  })
  void readsRatesAsTheyAreWritten(String written, String rate) {
    assertThat(FrameRate.parse(written)).hasToString(rate);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "fast", "0", "-24", "24/0", "1000", "1/2", "24/1/1", "NaN"})
  void refusesWhatIsNoRateAndNamesIt(String written) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> FrameRate.parse(written))
        .withMessageContaining(written);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void findsTheNearestFrameAsExactFractionsDo(long seed) {
    Random random = new Random(seed);
    FrameRate rate = RATES[random.nextInt(RATES.length)];
    long sample = random.nextLong(48_000L * 3600 * 5) - 48_000;
    // Exactly: floor(sample * rate / 48000 + 1/2).
    BigDecimal exact =
        new BigDecimal(
                BigInteger.valueOf(sample).multiply(BigInteger.valueOf(2L * rate.numerator())))
            .add(BigDecimal.valueOf(48_000L * rate.denominator()))
            .divide(BigDecimal.valueOf(2L * 48_000 * rate.denominator()), new MathContext(60))
            .setScale(0, RoundingMode.FLOOR);
    assertThat(rate.nearestFrame(sample)).isEqualTo(exact.longValueExact());
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void aFrameIsOnScreenFromItsFirstSampleToTheNextFramesFirst(long seed) {
    Random random = new Random(seed);
    FrameRate rate = RATES[random.nextInt(RATES.length)];
    long frame = random.nextLong(24L * 3600 * 10);
    assertThat(rate.frameAt(rate.sampleOf(frame))).isEqualTo(frame);
    assertThat(rate.frameAt(rate.sampleOf(frame + 1) - 1)).isEqualTo(frame);
    assertThat(rate.nearestFrame(rate.sampleOf(frame))).isEqualTo(frame);
  }

  @Test
  void countsTenHoursWithoutDrift() {
    FrameRate rate = FrameRate.of(30000, 1001);
    // 10 h = 36,000 s = 36,000 * 30000 / 1001 frames = 1,078,921.08
    assertThat(rate.nearestFrame(36_000L * 48_000)).isEqualTo(1_078_921);
    assertThat(rate.framesIn(36_000)).isEqualTo(1_078_921);
  }
}

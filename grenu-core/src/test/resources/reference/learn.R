# A slope that two coffees of one grinder share, by Gibbs sampling: the reference of PooledSlopeTest.
#
#   sudo apt-get install r-base-core r-cran-mcmcpack
#   Rscript grenu-core/src/test/resources/reference/learn.R
#
# ln(time) = level of the coffee + slope · notch + noise; the second coffee's slope differs from the first's by a normal
# amount. Priors: levels ln 28 ± 0.5, slope 0.118 ± 0.06, the difference 0 ± 0.03, noise variance inverse gamma of shape 2 and
# rate 2·0.035². Made once with R 4.2.2 and MCMCpack 1.6-3 (its MCMChregress draws the fixed effects too narrowly).
suppressPackageStartupMessages(library(MCMCpack))

shots <- data.frame(
  coffee = c(1, 1, 1, 1, 1, 2, 2, 2),
  notch = c(-3, -2, -1, 0, 0, -2, 0, 1),
  seconds = c(18.9, 20.6, 23.4, 25.4, 26.1, 24.3, 31.0, 34.6))
shots$one <- as.numeric(shots$coffee == 1)
shots$two <- as.numeric(shots$coffee == 2)
shots$y <- log(shots$seconds)
shots$second <- shots$notch * shots$two

drawn <- MCMCregress(y ~ one + two + notch + second - 1, data = shots, burnin = 5000, mcmc = 400000, thin = 4, seed = 1,
  b0 = c(log(28), log(28), 0.118, 0), B0 = diag(1 / c(0.5, 0.5, 0.06, 0.03)^2), c0 = 4, d0 = 4 * 0.035^2)
slope <- drawn[, "notch"] + drawn[, "second"]
level <- drawn[, "two"]
next.shot <- exp(level - slope + rnorm(nrow(drawn), 0, sqrt(drawn[, "sigma2"])))
cat(sprintf("slope of the second coffee: mean %.4f, sd %.4f\n", mean(slope), sd(slope)))
cat(sprintf("level of the second coffee: mean %.4f, sd %.4f\n", mean(level), sd(level)))
cat(sprintf("next shot at notch -1: median %.2f, 2.5 %% %.2f, 97.5 %% %.2f\n", median(next.shot), quantile(next.shot, 0.025),
  quantile(next.shot, 0.975)))

# Five responses of a table of shots on grind, temperature and profile, days at random: fit, interactions looked for and let
# go where there are none, tests of type II after Satterthwaite, marginal means and their
# differences with Tukey's or Holm's correction. Prints the median of N runs after one to warm up, ms.
#
#   compare.R SHOTS.csv N
suppressPackageStartupMessages({
  library(lme4)
  library(lmerTest)
  library(car)
  library(emmeans)
})
emm_options(lmer.df = "satterthwaite")
arguments <- commandArgs(trailingOnly = TRUE)
shots <- read.csv(arguments[1])
shots$profile <- factor(shots$profile)
shots$day <- factor(shots$day)

answer <- function(response) {
  control <- lmerControl(check.conv.singular = "ignore")
  wide <- lmer(reformulate("(grind + temperature + profile)^2 + (1 | day)", response), shots, control = control)
  together <- anova(wide, type = 2)
  plain <- lmer(reformulate("grind + temperature + profile + (1 | day)", response), shots, control = control)
  list(together = together, tests = Anova(plain, type = 2), satterthwaite = anova(plain, type = 2),
       fixed = coef(summary(plain)), spread = VarCorr(plain), residuals = residuals(plain), leverages = hatvalues(plain),
       profile = confint(pairs(emmeans(plain, "profile"))), grind = confint(emtrends(plain, ~1, "grind")),
       temperature = confint(emtrends(plain, ~1, "temperature")),
       holm = p.adjust(anova(plain, type = 2)[["Pr(>F)"]], "holm"))
}

all_of_it <- function() lapply(c("ey", "strength", "time", "drip", "peak"), answer)
invisible(all_of_it())
times <- sapply(seq_len(as.integer(arguments[2])), function(k) {
  begin <- proc.time()[["elapsed"]]
  all_of_it()
  1000 * (proc.time()[["elapsed"]] - begin)
})
cat(median(times), "\n")

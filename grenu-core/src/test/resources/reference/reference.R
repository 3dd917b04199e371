# Reference values for org.grenu.core.model, made once with R 4.2.2 and its packages
# lme4 1.1-31, lmerTest 3.1-3, car 3.1-1, emmeans 1.8.4, pbkrtest 0.5.2, clubSandwich 0.5.8:   Rscript reference.R
# Writes shots.csv and sleep.csv (the data) and results.csv (name, value). The tests read these files and need no R.
suppressMessages({library(lme4); library(lmerTest); library(car); library(emmeans); library(pbkrtest)
  library(clubSandwich)})
options(digits = 17)
RNGversion("4.2.2")
set.seed(14)

# An unbalanced invented study: 31 shots, 4 days, a covariate, unequal weights.
n <- 31
shots <- data.frame(
  grind = sample(c(2.2, 2.3, 2.4, 2.6), n, TRUE),
  profile = sample(c("gentle", "straight"), n, TRUE, c(0.6, 0.4)),
  coffee = sample(c("heron", "marten", "siskin"), n, TRUE),
  mass = round(rnorm(n, 40, 0.8), 1),
  day = sort(sample(c("a", "b", "c", "d"), n, TRUE)),
  weight = round(runif(n, 0.6, 1.5), 2))
shift <- c(a = 0.3, b = -0.4, c = 0.1, d = 0.5)
shots$y <- round(20 - 3 * (shots$grind - 2.4) + 0.4 * (shots$profile == "gentle") + 0.1 * (shots$mass - 40) +
  c(heron = 0, marten = 0.5, siskin = -0.2)[shots$coffee] + shift[shots$day] + rnorm(n, 0, 0.3 / sqrt(shots$weight)), 3)
shots[c("profile", "coffee", "day")] <- lapply(shots[c("profile", "coffee", "day")], factor)
write.csv(shots, "shots.csv", row.names = FALSE, quote = FALSE)

# G. Belenky et al., J. Sleep Res. 12, 2003, 1-12, as shipped with lme4.
sleep <- data.frame(reaction = sleepstudy$Reaction, days = sleepstudy$Days, subject = paste0("s", sleepstudy$Subject))
write.csv(sleep, "sleep.csv", row.names = FALSE, quote = FALSE)

out <- data.frame(name = character(), value = character())
say <- function(name, value) out[nrow(out) + 1, ] <<- list(name, format(value, digits = 17))

fixed <- lm(y ~ grind + profile * coffee + mass, shots, weights = weight)
tight <- lmerControl(optCtrl = list(xtol_abs = 1e-12, ftol_abs = 1e-12))
mixed <- lmer(y ~ grind + profile * coffee + mass + (1 | day), shots, weights = weight,
  control = tight)
say("fixed sigma", sigma(fixed))
anova2 <- Anova(fixed, type = 2)
for (term in c("grind", "profile", "coffee", "profile:coffee", "mass")) {
  say(paste("fixed F", term), anova2[term, "F value"])
  say(paste("fixed p", term), anova2[term, "Pr(>F)"])
}
for (i in 1:n) say(paste("fixed leverage", i), hatvalues(fixed)[i])
say("mixed sigma", sigma(mixed))
say("mixed tau", as.data.frame(VarCorr(mixed))$sdcor[1])
# pbkrtest takes every weight for 1: the same model without weights. Where an interaction contains a main effect, lmerTest
# takes the main effect's contrasts from the unweighted model matrix, so those are of a model without it.
plain <- lmer(y ~ grind + profile * coffee + mass + (1 | day), shots, control = tight)
additive <- lmer(y ~ grind + profile + coffee + mass + (1 | day), shots, control = tight)
for (model in c("plain", "additive")) {
  kr <- anova(get(model), type = 2, ddf = "Kenward-Roger")
  for (term in if (model == "plain") c("grind", "profile:coffee", "mass") else c("profile", "coffee", "mass")) {
    say(paste(model, "F", term), kr[term, "F value"])
    say(paste(model, "df", term), kr[term, "DenDF"])
  }
}
emm_options(lmer.df = "kenward-roger", msg.interaction = FALSE)
for (model in c("fixed", "plain")) {
  means <- emmeans(get(model), "coffee")
  table <- as.data.frame(means)
  for (i in 1:3) {
    say(paste(model, "mean", table$coffee[i]), table$emmean[i])
    say(paste(model, "mean se", table$coffee[i]), table$SE[i])
    say(paste(model, "mean df", table$coffee[i]), table$df[i])
  }
  for (adjust in c("none", "holm", "tukey")) {
    pair <- as.data.frame(pairs(means, adjust = adjust))
    for (i in 1:3) {
      if (adjust == "none") say(paste(model, "pair", pair$contrast[i]), pair$estimate[i])
      if (adjust == "none") say(paste(model, "pair se", pair$contrast[i]), pair$SE[i])
      if (adjust == "none") say(paste(model, "pair df", pair$contrast[i]), pair$df[i])
      say(paste(model, "pair p", adjust, pair$contrast[i]), pair$p.value[i])
    }
  }
  tost <- as.data.frame(test(pairs(means, adjust = "none"), delta = 0.5, side = "equivalence", adjust = "none"))
  for (i in 1:3) say(paste(model, "tost", tost$contrast[i]), tost$p.value[i])
}

sleeping <- lmer(reaction ~ days + (1 | subject), sleep, control = tight)
say("sleep sigma", sigma(sleeping))
say("sleep tau", as.data.frame(VarCorr(sleeping))$sdcor[1])
say("sleep slope", fixef(sleeping)["days"])
sleepKR <- coef(summary(sleeping, ddf = "Kenward-Roger"))["days", ]
say("sleep slope se", sleepKR["Std. Error"])
say("sleep slope df", sleepKR["df"])

# Where the days are few, and where they spread by nothing (the restricted likelihood's edge).
few <- shots[c(1:4, 9:13, 22:26), ]
few$y <- round(few$y + c(a = 0.6, b = -0.8, c = 0.1, d = 0.9)[as.character(few$day)], 3)
few$still <- round(20 - 3 * (few$grind - 2.4) + c(-0.2, 0.2, 0.1, -0.1, 0, 0.15, -0.15)[seq_len(nrow(few)) %% 7 + 1], 3)
for (response in c("y", "still")) {
  days <- suppressMessages(lmer(as.formula(paste(response, "~ grind + (1 | day)")), few, control = tight))
  row <- coef(summary(days, ddf = "Kenward-Roger"))["grind", ]
  say(paste("few", response, "tau"), as.data.frame(VarCorr(days))$sdcor[1])
  say(paste("few", response, "slope"), row["Estimate"])
  say(paste("few", response, "se"), row["Std. Error"])
  say(paste("few", response, "df"), row["df"])
}
write.csv(few[c("grind", "day", "y", "still")], "few.csv", row.names = FALSE, quote = FALSE)

# Spreads that differ: HC2 with Bell and McCaffrey's degrees of freedom, every row a cluster of its own; Welch.
robust <- function(name, model, ...) {
  found <- as.data.frame(coef_test(model, vcov = vcovCR(model, cluster = seq_len(nobs(model)), type = "CR2", ...),
    test = "Satterthwaite"))
  for (term in c("grind", "mass")) {
    say(paste(name, "se", term), found[rownames(found) == term, "SE"])
    say(paste(name, "df", term), found[rownames(found) == term, grep("^df", names(found))[1]])
  }
}
robust("hc2", lm(y ~ grind + profile * coffee + mass, shots))
robust("hc2 weighted", fixed, inverse_var = TRUE)
for (pair in list(c("heron", "marten"), c("heron", "siskin"), c("marten", "siskin"))) {
  welch <- t.test(shots$y[shots$coffee == pair[1]], shots$y[shots$coffee == pair[2]])
  say(paste("welch se", pair[1], pair[2]), welch$stderr)
  say(paste("welch df", pair[1], pair[2]), welch$parameter)
}

line <- lm(y ~ grind, shots)
fit <- anova(line, lm(y ~ factor(grind), shots))
say("lack of fit F", fit$F[2])
say("lack of fit p", fit$`Pr(>F)`[2])

for (case in list(c(20, 1, 1), c(5, 0.5, 0.3), c(7, 0.5, 0.3), c(3, 2, 1), c(40, 0.2, 0.5))) {
  say(paste("power", case[1], case[2], case[3]), power.t.test(n = case[1], delta = case[2], sd = case[3], strict = FALSE)$power)
}
# ptukey with two means and few degrees of freedom is off by up to 2e-3 of itself; there it is Student's t.
for (q in c(0.5, 2, 3.5, 6)) for (means in c(2, 3, 8)) for (df in c(2, 7.5, 24, 120)) {
  say(paste("ptukey", q, means, df), if (means == 2) 2 * pt(-q / sqrt(2), df) else ptukey(q, means, df, lower.tail = FALSE))
}
for (t in c(-1, 0.5, 2.1, 5)) for (df in c(1, 4.5, 30)) for (ncp in c(0, 1, 3)) {
  say(paste("pt", t, df, ncp), pt(t, df, ncp))
}
write.csv(out, "results.csv", row.names = FALSE, quote = FALSE)

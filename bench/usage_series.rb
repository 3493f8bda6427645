# frozen_string_literal: true

# Weeks of use of made-up foods, as households use them: every week alike, now and then, much at once, more and more or
# less and less, in a season, and stopped. The same seed gives the same weeks.
module UsageSeries
  WEEKS = 52
  KINDS = %i[steady intermittent lumpy trending seasonal stopped].freeze

  module_function

  # @param count [Integer]
  # @param seed [Integer]
  # @return [Array<Hash>] name: and weeks:, base units a week, oldest first
  def all(count, seed)
    chance = Random.new(seed)
    Array.new(count) do |number|
      kind = KINDS[number % KINDS.size]
      { name: "#{kind} #{number}", weeks: weeks(kind, chance) }
    end
  end

  # Packs are what people take: a use is a number of portions of one size.
  def weeks(kind, chance)
    portion = [30, 60, 125, 200, 250, 400, 500].sample(random: chance)
    share = chance.rand(0.15..0.6)
    usual = chance.rand(1..4)
    drift = chance.rand(-0.04..0.06)
    peak = chance.rand(WEEKS)
    stops = chance.rand(15..40)
    Array.new(WEEKS) do |week|
      portions =
        case kind
        when :steady then around(usual, chance)
        when :intermittent then chance.rand < share ? around(usual, chance) : 0
        when :lumpy then chance.rand < share / 2 ? around(usual * chance.rand(2..6), chance) : 0
        when :trending then chance.rand < 0.8 ? around([usual * (1 + (drift * week)), 0].max, chance) : 0
        when :seasonal then chance.rand < season(week, peak) ? around(usual, chance) : 0
        else week < stops && chance.rand < 0.7 ? around(usual, chance) : 0
        end
      portions * portion
    end
  end

  # Round about so many: what a Poisson draw gives.
  def around(mean, chance)
    limit = Math.exp(-mean.to_f)
    count = -1
    product = 1.0
    while product > limit
      product *= chance.rand
      count += 1
    end
    count
  end

  def season(week, peak)
    away = [(week - peak).abs, WEEKS - (week - peak).abs].min
    [1 - (away / 10.0), 0.02].max
  end
end

# frozen_string_literal: true

require "json"
require "optparse"
require_relative "harness"
require_relative "usage_series"
require_relative "../core/usage/rate"
require_relative "../core/usage/weeks"

# How far off "how fast it goes" is: every week from the eighth on, each method says the next week and the next four,
# from what was known by then. bin/bench usage [--series FILE] [--seed 1]; FILE: [{name, weeks: [amounts]}], oldest
# first. Without a file it is held against made-up foods and against the demo's ledger, where ten weeks are known.
module UsageBench
  FOODS = 240
  AHEAD = 4
  FIRST = 8

  METHODS = {
    "ours" => ->(weeks) { NutShelf::Core::Rate.of(weeks.last(NutShelf::Core::Weeks::MOST)).weekly.to_f },
    "last week" => ->(weeks) { weeks.last.to_f },
    "mean of eight" => ->(weeks) { weeks.last(8).sum / [weeks.size, 8.0].min }
  }.freeze

  module_function

  # @return [Array<Hash>] series with a use in them
  def fit(list) = list.select { |one| origins(one[:weeks]).any? && one[:weeks].any?(&:positive?) }

  # From the eighth week on; of a short history from the fourth, before which nobody says anything.
  def origins(weeks)
    last = weeks.size - AHEAD
    (last - 1).clamp(NutShelf::Core::Rate::WEEKS, FIRST)..last
  end

  def read(path)
    JSON.parse(File.read(path)).map do |one|
      { name: one.fetch("name"), weeks: one.fetch("weeks").map { |amount| Rational(amount.to_s) } }
    end
  rescue SystemCallError, JSON::ParserError, KeyError, NoMethodError, TypeError, ArgumentError => e
    abort "#{path} is no list of {name, weeks: [amounts]}: #{e.message.lines.first.strip}"
  end

  # @return [Array<Hash>] by method: error and bias, each summed over origins and series
  def rows(list)
    METHODS.map do |name, method|
      next_week, four = list.flat_map { |one| misses(one[:weeks], method) }.transpose
      {
        method: name, mae_1: mean(next_week.map(&:abs)), bias_1: mean(next_week), mae_4: mean(four.map(&:abs)),
        bias_4: mean(four), total_4: four.sum(&:abs).round
      }
    end
  end

  # @return [Array<Array(Float, Float)>] said less what came, of the next week and of the next four
  def misses(weeks, method)
    origins(weeks).map do |origin|
      said = method.call(weeks.first(origin))
      [said - weeks[origin], (said * AHEAD) - weeks[origin, AHEAD].sum].map(&:to_f)
    end
  end

  def mean(list) = (list.sum / list.size).round(1)

  def run(arguments)
    found = { seed: 1 }
    OptionParser.new do |parser|
      parser.on("--series FILE") { |value| found[:series] = value }
      parser.on("--seed N", Integer) { |value| found[:seed] = value }
    end.parse(arguments)
    if found[:series]
      list = fit(read(found[:series]))
      abort "No food in #{found[:series]} has a use and nine weeks, which is the least." if list.empty?
      return Harness.table("usage", rows(list))
    end

    list = fit(UsageSeries.all(FOODS, found[:seed]))
    Harness.table("usage", rows(list))
    list.group_by { |one| one[:name][/\w+/] }.each { |kind, some| Harness.table("usage_#{kind}", rows(some)) }
    require_relative "usage_demo"
    Harness.table("usage_demo_ledger", rows(fit(UsageDemo.all)))
  end
end

UsageBench.run(ARGV) if $PROGRAM_NAME == __FILE__

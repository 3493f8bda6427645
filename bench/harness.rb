# frozen_string_literal: true

require "fileutils"
require "json"

# Times two things in turn in one run and prints them side by side; machines are noisy, ratios less so.
module Harness
  WARM_UP = 10

  module_function

  # @return [Float] milliseconds
  def time
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end

  # Runs baseline and subject alternately.
  # @return [Hash] medians and 95th percentiles in milliseconds, and their ratios
  def compare(runs, baseline:, subject:, prepare: -> {})
    WARM_UP.times { [baseline, prepare, subject].each(&:call) }
    GC.start
    pairs =
      Array.new(runs) do
        raw = time { baseline.call }
        prepare.call
        [raw, time { subject.call }]
      end
    base, ours = pairs.transpose.map(&:sort)
    {
      runs: runs,
      baseline_median_ms: at(base, 0.5),
      baseline_p95_ms: at(base, 0.95),
      median_ms: at(ours, 0.5),
      p95_ms: at(ours, 0.95),
      ratio_median: (at(ours, 0.5) / at(base, 0.5)).round(2),
      ratio_p95: (at(ours, 0.95) / at(base, 0.95)).round(2)
    }
  end

  def at(sorted, share) = sorted[[(sorted.size * share).ceil - 1, 0].max].round(3)

  # @param rows [Array<Hash>] alike
  def table(name, rows)
    puts name
    puts rows.first.keys.map { |key| format("%13s", key) }.join
    rows.each { |row| puts row.values.map { |value| format("%13s", value) }.join }
    FileUtils.mkdir_p("tmp")
    File.write("tmp/bench-#{name}.json", JSON.pretty_generate(rows))
  end

  def report(name, rows)
    puts name
    rows.each { |key, value| puts format("  %-24s %s", key, value) }
    FileUtils.mkdir_p("tmp")
    File.write("tmp/bench-#{name.split.first}.json", JSON.pretty_generate(rows))
  end
end

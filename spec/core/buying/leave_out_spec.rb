# frozen_string_literal: true

require "date"
require "prop_check"
require_relative "../../../core/buying/leave_out"

RSpec.describe NutShelf::Core::LeaveOut do
  let(:day) { Date.new(2026, 11, 24) }

  def line(id, cost, reason, ahead = nil)
    NutShelf::Core::LeaveOut::Line.new(id: id, cost: cost, reason: reason, on: ahead && (day + ahead))
  end

  def left(lines, budget) = described_class.call(lines, budget).map(&:id)

  it "leaves nothing out within the budget" do
    expect(left([line(1, 300, :wanted), line(2, 200, :meal, 1)], 500)).to eq([])
  end

  it "leaves out what fills the house up before what runs low, and meals last, the latest first" do
    lines = [line(1, 100, :meal, 1), line(2, 100, :meal, 5), line(3, 100, :level), line(4, 100, :habit),
             line(5, 100, :wanted)]
    expect([400, 300, 200, 100, 0].map { |budget| left(lines, budget) }).to eq(
      [[5], [5, 3], [5, 3, 4], [5, 3, 4, 2], [5, 3, 4, 2, 1]]
    )
  end

  it "leaves out as few as it can: the cheapest that is enough, else the dearest" do
    lines = [line(1, 100, :wanted), line(2, 250, :wanted), line(3, 600, :wanted)]
    expect(left(lines, 750)).to eq([2])
    expect(left(lines, 200)).to eq([3, 2])
  end

  it "strikes nothing that somebody wrote, and says no more than it can" do
    expect(left([line(1, 900, :own), line(2, 100, :wanted)], 500)).to eq([2])
  end

  it "comes within any budget the rest allows, by nothing that was not needed for it" do
    g = PropCheck::Generators
    lists = g.array(g.tuple(g.choose(0..900), g.choose(0..4), g.choose(0..9)))
    PropCheck.forall(lists, g.choose(0..3000)) do |list, budget|
      reasons = [*described_class::HARM, :own]
      lines = list.each_with_index.map { |(cost, reason, ahead), id| line(id, cost, reasons[reason], ahead) }
      left = described_class.call(lines, budget)
      fixed = lines.select { |one| one.reason == :own }.sum(&:cost)
      expect((lines - left).sum(&:cost)).to be <= [budget, fixed].max
      expect((lines - left[0...-1]).sum(&:cost)).to be > budget if left.any?
    end
  end
end

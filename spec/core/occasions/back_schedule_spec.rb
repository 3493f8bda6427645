# frozen_string_literal: true

require_relative "../../../core/occasions/back_schedule"

RSpec.describe NutShelf::Core::BackSchedule do
  def dish(key, work, alone, **more)
    described_class::Dish.new(key: key, name: key.capitalize, work: work, alone: alone, **more)
  end

  def made(*dishes, **hands) = described_class.new(dishes, **hands).call

  def told(schedule) = schedule.tasks.map { |task| [task.key, task.kind, task.begins, task.ends] }

  it "puts the work before what goes by itself, and both as late as they can be" do
    expect(told(made(dish("stew", 20, 60)))).to eq([["stew", "work", 80, 60], ["stew", "alone", 60, 0]])
  end

  it "lets what simmers begin when its work is done, while the cook goes on to the next" do
    schedule = made(dish("rice", 5, 20), dish("stew", 20, 60))
    expect(told(schedule)).to eq(
      [["stew", "work", 80, 60], ["stew", "alone", 60, 0], ["rice", "work", 25, 20], ["rice", "alone", 20, 0]]
    )
    expect(schedule.begins).to eq(80)
  end

  it "gives the cook one thing at a time, and puts first what may stand" do
    schedule = made(dish("salad", 30, 0, waits: true), dish("fritters", 20, 0))
    expect(told(schedule)).to eq([["salad", "work", 50, 20], ["fritters", "work", 20, 0]])
    expect(schedule.ready).to eq("salad" => 20, "fritters" => 0)
  end

  it "gives an oven one dish at a time, and two ovens two" do
    roast = dish("roast", 10, 90, oven: true)
    cake = dish("cake", 10, 40, oven: true, waits: true)
    expect(told(made(roast, cake))).to eq(
      [["cake", "work", 140, 130], ["cake", "oven", 130, 90], ["roast", "work", 100, 90], ["roast", "oven", 90, 0]]
    )
    expect(made(roast, cake, ovens: 2).begins).to eq(100)
  end

  it "leaves to the day before what is made then, the longest first" do
    schedule = made(dish("soup", 10, 20), dish("cake", 15, 40, ahead: true), dish("bread", 10, 300, ahead: true))
    expect(schedule.ahead.map(&:key)).to eq(%w[bread cake])
    expect(told(schedule).map(&:first).uniq).to eq(["soup"])
  end

  it "says half as long again for twice as much" do
    expect(described_class.work(20, 1)).to eq(20)
    expect(described_class.work(20, 1/2r)).to eq(20)
    expect(described_class.work(20, 2)).to eq(30)
    expect(described_class.work(20, 4)).to eq(40)
  end

  # Laws of any menu: no cook and no oven does two things at once, everything is done in time and in its order.
  it "never asks for two hands or two ovens at once" do
    dice = Random.new(5)
    60.times do
      cooks = dice.rand(1..2)
      ovens = dice.rand(1..2)
      dishes = Array.new(dice.rand(1..9)) do |at|
        dish("d#{at}", dice.rand(0..40), dice.rand(0..90), oven: dice.rand < 0.5, waits: dice.rand < 0.3)
      end
      tasks = made(*dishes, cooks: cooks, ovens: ovens).tasks
      busy = ->(kind) { tasks.select { |task| task.kind == kind } }
      busy.("work").group_by(&:cook).each_value { |list| expect(at_once(list)).to be <= 1 }
      expect(busy.("work").map(&:cook).uniq.size).to be <= cooks
      expect(at_once(busy.("oven"))).to be <= ovens
      dishes.each { |one| lasts(one, tasks.select { |task| task.key == one.key }) }
    end
  end

  def at_once(tasks)
    tasks.flat_map(&:begins).map do |minute|
      tasks.count do |task|
        task.begins >= minute && task.ends < minute
      end
    end.max || 0
  end

  def lasts(dish, tasks)
    expect(tasks.sum { |task| task.begins - task.ends }).to eq(dish.work + dish.alone)
    expect(tasks.map(&:ends)).to all(be >= 0)
    work, alone = tasks.partition { |task| task.kind == "work" }.map(&:first)
    expect(work.ends).to be >= alone.begins if work && alone
  end
end

# frozen_string_literal: true

require_relative "../base"
require_relative "../views/bags_view"
require_relative "../views/batches_view"
require_relative "../views/loads_view"
require_relative "../views/ready_view"
require_relative "../../desk/acts/assemble_bags"
require_relative "../../desk/acts/begin_batch"
require_relative "../../desk/acts/change_batch"
require_relative "../../desk/acts/finish_batch"
require_relative "../../desk/acts/give_up_batch"
require_relative "../../desk/acts/keep_bag"
require_relative "../../desk/acts/portion_bench"
require_relative "../../desk/acts/share_bowl"

module NutShelf
  module Api
    # The bench: several stacks become portions, or bags, or batches that are kept. Everything is shown before anything
    # moves.
    class Bench < Base
      post("/portions") { act_on_stacks(Desk::PortionBench, body_as("PortionBench")) }

      post("/portions/foresee") do
        json Desk::PortionBench.new(services, caller!).foresee(body_as("PortionBench"))
      end

      get("/ready") { view(:stock, :rules) { |work| ReadyView.new(work).call } }

      post("/bowls") { act_on_stacks(Desk::ShareBowl, body_as("ShareBowl")) }

      post("/bowls/foresee") do
        json Desk::ShareBowl.new(services, caller!).foresee(body_as("ShareBowl"))
      end

      get("/bags") { view(:stock, :plan, :people, :rules) { |work| BagsView.new(work).call } }

      post("/bags") { act_on_stacks(Desk::AssembleBags, body_as("AssembleBags")) }

      post("/bags/foresee") do
        json Desk::AssembleBags.new(services, caller!).foresee(body_as("AssembleBags"))
      end

      post("/bags/own") { act(Desk::KeepBag, body_as("KeepBag")) }

      post("/bags/own/:id/change") { act(Desk::KeepBag, { bag_id: id_param, **body_as("ChangeBag") }) }

      get("/batches") { view(:stock, :plan, :rules) { |work| BatchesView.new(work).call } }

      post("/batches") { act_on_stacks(Desk::BeginBatch, body_as("BeginBatch")) }

      get("/loads") { view(:plan, :rules) { |work| LoadsView.new(work, **dryer).call } }

      post("/batches/:id/change") { act(Desk::ChangeBatch, { batch_id: id_param, **body_as("ChangeBatch") }) }

      post("/batches/:id/finish") do
        act_on_stacks(Desk::FinishBatch, { batch_id: id_param, **body_as("FinishBatch") })
      end

      post("/batches/:id/foresee") do
        json Desk::FinishBatch.new(services, caller!).foresee({ batch_id: id_param, **body_as("FinishBatch") })
      end

      post("/batches/:id/give-up") { act(Desk::GiveUpBatch, { batch_id: id_param }) }

      private

      def dryer
        {
          cut: params["cut"].to_s, in_g: number_param(:in_g, 1000, 1..1_000_000),
          trays: number_param(:trays, 5, 1..100), tray_dm2: number_param(:tray_dm2, 9, 1..1000),
          day_hours: number_param(:day_hours, 12, 1..24), watts: number_param(:watts, 0, 0..20_000),
          needed_on: day_param(:needed_on)
        }
      end
    end
  end
end

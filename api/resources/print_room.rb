# frozen_string_literal: true

require_relative "../base"
require_relative "../papers/box_cards_paper"
require_relative "../papers/event_paper"
require_relative "../papers/give_away_paper"
require_relative "../papers/kit_menu_paper"
require_relative "../papers/list_paper"
require_relative "../papers/month_paper"
require_relative "../papers/occasion_paper"
require_relative "../papers/standing_paper"
require_relative "../papers/trip_paper"
require_relative "../papers/week_paper"
require_relative "../../exchange/papers/pdf"

module NutShelf
  module Api
    # The print room: every paper as a page and as PDF, in one make.
    class PrintRoom < Base
      get("/week") { paper { |work| week(work) } }

      get("/week.pdf") { pdf("week") { |work| week(work) } }

      get("/list") { paper(:list) { |work| list(work) } }

      get("/list.pdf") { pdf("list") { |work| list(work) } }

      get("/standing") { paper(:list) { |work| Papers::StandingPaper.new(work).call } }

      get("/standing.pdf") { pdf("standing") { |work| Papers::StandingPaper.new(work).call } }

      get("/give-away") { paper(:list) { |work| Papers::GiveAwayPaper.new(work).call } }

      get("/give-away.pdf") { pdf("give-away") { |work| Papers::GiveAwayPaper.new(work).call } }

      get("/month") { paper(:list) { |work| month(work) } }

      get("/month.pdf") { pdf("month") { |work| month(work) } }

      get("/occasions/:id") do
        id = id_param
        paper { |work| Papers::OccasionPaper.new(work, id).call }
      end

      get("/occasions/:id/pdf") do
        id = id_param
        pdf("occasion") { |work| Papers::OccasionPaper.new(work, id).call }
      end

      get("/kits/:id/menu") { paper(:list) { |work| Papers::KitMenuPaper.new(work, kit(work)).call } }

      get("/kits/:id/menu.pdf") { pdf("menu") { |work| Papers::KitMenuPaper.new(work, kit(work)).call } }

      get("/kits/:id/boxes") { paper(:list) { |work| Papers::BoxCardsPaper.new(work, kit(work)).call } }

      get("/kits/:id/boxes.pdf") { pdf("boxes") { |work| Papers::BoxCardsPaper.new(work, kit(work)).call } }

      get("/trips/:id") { paper { |work| trip(work) } }

      get("/trips/:id/pdf") { pdf("trip") { |work| trip(work) } }

      get("/events/:id") do
        now = moment_param(:now)
        made = read_only { |work| event(work, now) }
        json(told(made))
      end

      get("/events/:id/pdf") do
        now = moment_param(:now)
        pdf("before") { |work| event(work, now) }
      end

      helpers do
        def kit(work) = work.house.kits.find(id_param)

        def trip(work) = Papers::TripPaper.new(work, work.house.trips.find(id_param)).call

        def event(work, now)
          Papers::EventPaper.new(work, work.house.kits.event(id_param), now: now).call
        end

        def told(made)
          { title: made.title, subtitle: made.subtitle.to_s, back: made.back, parts: made.parts.map(&:told) }
        end

        def paper(*more)
          view(:stock, :plan, :people, :rules, *more) do |work|
            told(yield(work))
          end
        end

        def pdf(name, &block)
          made = read_only(&block)
          content_type "application/pdf"
          headers "content-disposition" => "inline; filename=\"#{name}.pdf\""
          Exchange::Papers::Pdf.new(made).render
        end

        def list(work)
          days = params[:days] && number_param(:days, nil, 1..60)
          Papers::ListPaper.new(work, days: days).call
        end

        # The month of a day; of today where nobody says.
        def month(work)
          first = (day_param(:from) || work.today).then { |day| Date.new(day.year, day.month, 1) }
          refuse("invalid", "That month has not begun.", "Look back at one that has.") if first > work.today
          Papers::MonthPaper.new(work, from: first, to: [Date.new(first.year, first.month, -1), work.today].min).call
        end

        def week(work)
          first = day_param(:from) || work.today
          Papers::WeekPaper.new(work, from: first, to: first + 6).call
        end
      end
    end
  end
end
